import { ulid } from 'ulid';
import { askHowFar } from './asked.ts';

/**
 * Has sheets made that take a while.
 *
 * @param address of the PDF
 * @param told how much is made, 0 to 1
 * @param signal stops it, here and on the server
 * @returns an address of what was made, for this window alone
 * @throws {Error} where it is stopped, or nobody answers
 */
export async function makeSheets(
  address: string,
  told: (share: number) => void,
  signal: AbortSignal
): Promise<string> {
  const watch = ulid();
  const stop = askHowFar(watch, told);
  try {
    const answer = await fetch(`${address}&watch=${watch}`, { signal });
    if (!answer.ok) throw new Error(((await answer.json()) as { message: string }).message);
    return URL.createObjectURL(await answer.blob());
  } finally {
    stop();
  }
}
