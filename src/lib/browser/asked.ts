import { t } from '../words/index.ts';

/** What an address answers, read as JSON. @throws {Error} with its sentence where it refuses, or nobody answers */
export async function asked<T>(path: string, init?: RequestInit): Promise<T> {
  const answer = await fetch(path, init).catch(() => undefined);
  if (!answer) throw new Error(t.outbox.unreachable);
  const body = (await answer.json().catch(() => undefined)) as (T & { message?: string }) | undefined;
  if (!answer.ok || body === undefined) throw new Error(body?.message ?? t.outbox.failed);
  return body;
}

/** How often it is asked how far something is, ms. */
const ASK_MS = 400;

/**
 * Asks how far something long is, again and again.
 *
 * @param ended told once it is under way no more, after it was
 * @returns what ends the asking
 */
export function askHowFar(watch: string, told: (share: number) => void, ended?: () => void): () => void {
  let begun = false;
  const asking = setInterval(() => {
    void asked<{ share: number | null }>(`/api/v1/progress/${watch}`)
      .then(({ share }) => {
        if (share !== null) {
          begun = true;
          told(share);
        } else if (begun) {
          clearInterval(asking);
          ended?.();
        }
      })
      .catch(() => {});
  }, ASK_MS);
  return () => clearInterval(asking);
}
