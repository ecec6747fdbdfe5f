/**
 * Work that is asked for more often than it can be done: one piece at a time, always ending with the newest; what was
 * asked for in between is skipped.
 */
export class Latest<Question, Answer> {
  answer = $state.raw<Answer>();
  #newest: Question | undefined;
  #busy = false;
  readonly #work: (question: Question) => Promise<Answer>;

  constructor(work: (question: Question) => Promise<Answer>) {
    this.#work = work;
  }

  /** Asks; undefined clears the answer. */
  async ask(question: Question | undefined): Promise<void> {
    this.#newest = question;
    if (!question) this.answer = undefined;
    if (this.#busy) return;
    this.#busy = true;
    let done: Question | undefined;
    while (this.#newest && this.#newest !== done) {
      done = this.#newest;
      const answer = await this.#work(done).catch(() => undefined);
      if (this.#newest === done) this.answer = answer;
    }
    this.#busy = false;
  }
}
