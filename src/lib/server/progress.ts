/** How far pieces of work are that somebody waits for, 0 to 1, by the name that whoever waits gave them. */
const underWay = new Map<string, number>();

/** How far a piece of work is, 0 to 1; undefined for what is not under way. */
export const shareDone = (watch: string): number | undefined => underWay.get(watch);

/** Does something long that tells how far it is. @param watch by which it can be asked for, if it is to be */
export async function watched<T>(
  watch: string | undefined,
  work: (told: (share: number) => void) => Promise<T>
): Promise<T> {
  if (watch) underWay.set(watch, 0);
  try {
    return await work((share) => watch && underWay.set(watch, share));
  } finally {
    if (watch) underWay.delete(watch);
  }
}
