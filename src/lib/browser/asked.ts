import { t } from '../words/index.ts';

/** What an address would not take: a sentence, and one beside each field. */
export class AskRefused extends Error {
  constructor(
    message: string,
    readonly fields: Record<string, string> = {}
  ) {
    super(message);
  }
}

type Refused = { message?: string; fields?: Record<string, string> };

/** What an address answers, read as JSON. @throws {AskRefused} where it refuses, or nobody answers */
export async function asked<T>(path: string, init?: RequestInit): Promise<T> {
  const answer = await fetch(path, init).catch(() => undefined);
  if (!answer) throw new AskRefused(t.outbox.unreachable);
  const body = (await answer.json().catch(() => undefined)) as (T & Refused) | undefined;
  if (!answer.ok || body === undefined) throw new AskRefused(body?.message ?? t.outbox.failed, body?.fields);
  return body;
}

/** What an address answers to something that is sent to it as JSON. @throws {AskRefused} as {@link asked} does */
export const askedWith = <T>(method: 'POST' | 'PUT' | 'PATCH', path: string, body: object): Promise<T> =>
  asked<T>(path, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body)
  });

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
