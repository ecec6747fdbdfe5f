import { ulid } from 'ulid';
import type { ImportRecord } from '$lib/contract/records/import';
import type { Matching, TableField } from '$lib/formats/table/columns';
import type { TableLook } from '$lib/formats/table/look';
import { asked } from '$lib/browser/asked';
import { lookAgain } from '$lib/browser/look-again';
import { t } from '$lib/words';

type Looked = TableLook & { already: ImportRecord | null };

/** How often it is asked how far a table is, ms. */
const ASK_MS = 300;
/** Another choice of columns is looked at once the hand rests so long, ms. */
const REST_MS = 250;

const saidBy = (problem: unknown) => (problem instanceof Error ? problem.message : t.outbox.failed);

/** A table on its way into the log: looked through, matched by hand, taken in, stopped, taken back. */
export class TakingIn {
  file = $state.raw<File>();
  look = $state.raw<Looked>();
  matching = $state<Matching>();
  /** It is being looked through. */
  looking = $state(false);
  problem = $state<string>();
  /** The table that is being taken in, and how far it is. */
  under = $state.raw<ImportRecord>();
  done = $state.raw<ImportRecord>();
  /** Name of the one that was stopped. */
  stopped = $state<string>();
  #stopping = false;
  #head: number | undefined;
  /** What the columns are is still to be guessed. */
  #guess = true;
  #rest: ReturnType<typeof setTimeout> | undefined;
  #turn = 0;

  /** Takes up a file, and looks through it as it is. */
  async pick(file: File): Promise<void> {
    Object.assign(this, { file, look: undefined, matching: undefined, done: undefined });
    this.#head = undefined;
    this.#guess = true;
    await this.#lookThrough();
  }

  /** Lets go of the file; nothing of it was written. */
  drop(): void {
    this.#turn++;
    Object.assign(this, { file: undefined, look: undefined, matching: undefined, problem: undefined });
  }

  /** Reads it in another way, and looks again. */
  change(fields: Partial<Matching>): void {
    if (!this.matching) return;
    this.#guess = false;
    this.matching = { ...this.matching, ...fields };
    clearTimeout(this.#rest);
    this.#rest = setTimeout(() => void this.#lookThrough(), REST_MS);
  }

  /** Says what a column is: no two but notes are the same. */
  match(column: number, field: TableField | ''): void {
    const fields = (this.matching?.fields ?? []).map((one, i) =>
      i === column ? field : one === field && field !== 'note' ? '' : one
    );
    this.change({ fields });
  }

  /** Takes the names of the columns from another row, and guesses anew what they are. @param row counted from 1; 0 for none */
  headIn(row: number): void {
    this.#guess = true;
    this.#head = row;
    void this.#lookThrough();
  }

  #form(): FormData {
    const form = new FormData();
    if (this.file) form.set('file', this.file);
    if (this.#head !== undefined) form.set('head', String(this.#head));
    if (this.matching && !this.#guess) form.set('matching', JSON.stringify(this.matching));
    return form;
  }

  async #lookThrough(): Promise<void> {
    const turn = ++this.#turn;
    this.looking = true;
    this.problem = undefined;
    try {
      const look = await asked<Looked>('/api/v1/imports/look', { method: 'POST', body: this.#form() });
      // Another choice was made meanwhile.
      if (turn !== this.#turn) return;
      this.look = look;
      if (this.#guess) this.matching = look.matching;
      this.#guess = false;
    } catch (problem) {
      if (turn === this.#turn) this.problem = saidBy(problem);
    } finally {
      if (turn === this.#turn) this.looking = false;
    }
  }

  /** Takes its good rows in, and tells how far that is until it is done. */
  async take(): Promise<void> {
    const form = this.#form();
    form.set('importId', ulid());
    this.problem = undefined;
    try {
      this.under = await asked<ImportRecord>('/api/v1/imports', { method: 'POST', body: form });
    } catch (problem) {
      this.problem = saidBy(problem);
    }
    if (this.under) await this.follow(this.under);
  }

  /** Follows one that is under way, also from another window, to its end. */
  async follow(begun: ImportRecord): Promise<void> {
    let record = begun;
    this.under = record;
    this.stopped = undefined;
    this.#stopping = false;
    try {
      while (record.finishedAt === null) {
        await new Promise((resolve) => setTimeout(resolve, ASK_MS));
        record = await this.#ask(begun.id);
        this.under = record;
      }
      this.drop();
      this.done = record;
      await lookAgain().catch(() => {});
    } catch (problem) {
      if (this.#stopping) this.stopped = begun.name;
      else this.problem = saidBy(problem);
    } finally {
      this.under = undefined;
    }
  }

  async #ask(id: string): Promise<ImportRecord> {
    const state = await asked<{ record: ImportRecord } | { problem: string }>(`/api/v1/imports/${id}`);
    if ('problem' in state) throw new Error(state.problem);
    return state.record;
  }

  /** Stops it: what is in goes again. */
  async stop(): Promise<void> {
    const { under } = this;
    if (!under) return;
    this.#stopping = true;
    await asked(`/api/v1/imports/${under.id}`, { method: 'DELETE' }).catch(() => {});
  }
}

/** Takes a table back that was taken in. @throws {Error} with what stands in the way */
export async function takeTableBack(id: string): Promise<ImportRecord> {
  const record = await asked<ImportRecord>(`/api/v1/imports/${id}`, { method: 'DELETE' });
  await lookAgain().catch(() => {});
  return record;
}
