/**
 * Work that is asked for more often than it can be done: one piece at a time, always ending with the newest; what was
 * asked for in between is skipped.
 */
export class Latest<Question, Answer> {
  answer = $state.raw<Answer>();
  /** Why there is no answer to the newest question, as the core says it. */
  problem = $state.raw<string>();
  #newest: Question | undefined;
  #busy = false;
  readonly #work: (question: Question) => Promise<Answer>;

  constructor(work: (question: Question) => Promise<Answer>) {
    this.#work = work;
  }

  /** Asks; undefined clears the answer. */
  async ask(question: Question | undefined): Promise<void> {
    this.#newest = question;
    if (!question) this.answer = this.problem = undefined;
    if (this.#busy) return;
    this.#busy = true;
    let done: Question | undefined;
    while (this.#newest && this.#newest !== done) {
      done = this.#newest;
      const outcome = await this.#work(done).then(
        (answer) => ({ answer, problem: undefined }),
        (failed: unknown) => ({
          answer: undefined,
          problem: failed instanceof Error ? failed.message : String(failed)
        })
      );
      if (this.#newest === done) ({ answer: this.answer, problem: this.problem } = outcome);
    }
    this.#busy = false;
  }
}
