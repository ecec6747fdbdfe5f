import { t } from '$lib/words';

/** A picture of a folder, with what is known of when it was taken. */
export type FolderFile = { name: string; lastModified: number; takenAt?: number };

/** When each picture of a folder was taken, ms UTC, in order; or why that cannot be told. */
export type FolderTimes =
  { times: { name: string; at: number }[]; error?: undefined } | { times?: undefined; error: string };

/** Seconds in a name, as a bench camera writes them: `00000060s.png`. */
function secondsIn(name: string): number | undefined {
  const match = /(\d+)\s*s\.[a-z]+$/i.exec(name);
  return match ? Number(match[1]) : undefined;
}

/**
 * Tells when the pictures of a folder were taken: by an even step where one is given, else by the seconds in their
 * names, by what the camera wrote into them, or by the times of the files.
 *
 * @param everyS seconds from one picture to the next, the first that long after set-down; empty where not given
 */
export function folderTimes(
  files: readonly FolderFile[],
  o: { setDownAt: number; now: number; everyS?: number }
): FolderTimes {
  const ordered = [...files].sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }));
  if (ordered.length < 3) return { error: t.film.threeFiles };
  const timed = (at: (file: FolderFile, i: number) => number) =>
    ordered.map((file, i) => ({ name: file.name, at: at(file, i) })).sort((a, b) => a.at - b.at);
  const check = (times: { name: string; at: number }[]): FolderTimes => {
    if (times.some((x) => x.at <= o.setDownAt || x.at > o.now)) return { error: t.film.outsideRun };
    if (times.some((x, i) => i > 0 && x.at - times[i - 1].at < 500)) return { error: t.film.sameTime };
    return { times };
  };
  const { everyS, setDownAt } = o;
  if (everyS !== undefined) return check(timed((_, i) => setDownAt + (i + 1) * everyS * 1000));
  const named = ordered.flatMap(({ name }) => secondsIn(name) ?? []);
  if (named.length === ordered.length) return check(timed((_, i) => setDownAt + named[i] * 1000));
  const taken = ordered.flatMap((f) => f.takenAt ?? []);
  if (taken.length === ordered.length) return check(timed((_, i) => taken[i]));
  return check(timed((f) => f.lastModified));
}
