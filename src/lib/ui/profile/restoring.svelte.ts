import { asked, askHowFar } from '$lib/browser/asked';
import { lookAgain } from '$lib/browser/look-again';
import { t } from '$lib/words';

/** What was taken up to be put back, as the server tells it. */
type TakenUp = {
  id: string;
  name: string;
  found: { madeAt: string | null; rows: Record<string, number>; pictures: number };
};

/** A copy or an archive on its way back: looked through, asked about, put in the place of the bench. */
export class Restoring {
  /** What is under way, in words. */
  under = $state<string>();
  share = $state(0);
  problem = $state<string>();
  up = $state.raw<TakenUp>();
  done = $state<string>();

  async #do(words: string, work: () => Promise<void>): Promise<void> {
    Object.assign(this, { under: words, share: 0, problem: undefined, done: undefined });
    try {
      await work();
    } catch (problem) {
      this.problem = problem instanceof Error ? problem.message : t.outbox.failed;
    } finally {
      this.under = undefined;
    }
  }

  /** Looks through a copy that is kept on the server. @param called what it is called here */
  takeUpCopy(name: string, called: string): Promise<void> {
    return this.#do(t.profile.restore.looking, async () => {
      const body = JSON.stringify({ copy: name });
      const init = { method: 'POST', headers: { 'content-type': 'application/json' }, body };
      this.up = { ...(await asked<TakenUp>('/api/v1/restore', init)), name: called };
    });
  }

  /** Sends an archive and has it looked through. */
  takeUpArchive(file: File): Promise<void> {
    return this.#do(t.profile.restore.looking, async () => {
      this.up = await asked(`/api/v1/archive?name=${encodeURIComponent(file.name)}`, {
        method: 'POST',
        headers: { 'content-type': 'application/zip' },
        body: file
      });
    });
  }

  /** Lets go of it; the bench stays as it is. */
  drop(): void {
    const { up } = this;
    this.up = undefined;
    if (up) void fetch(`/api/v1/restore/${up.id}`, { method: 'DELETE' }).catch(() => {});
  }

  /** Puts it in the place of the bench. */
  async putBack(): Promise<void> {
    const { up } = this;
    if (!up) return;
    this.up = undefined;
    const stop = askHowFar(up.id, (share) => (this.share = share));
    await this.#do(t.profile.restore.puttingBack(up.name), async () => {
      await asked(`/api/v1/restore/${up.id}`, { method: 'POST' });
      await lookAgain().catch(() => {});
      this.done = t.profile.restore.back(up.name);
    });
    stop();
  }
}
