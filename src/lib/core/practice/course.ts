import { DRILL_KEYS, LEVELS, type DrillKey } from './drills.ts';
import { DONE_POINTS, MISSED_POINTS } from './score.ts';

/** Something that a learner has tried: what, how hard, and what it came to. */
export type Try = { key: DrillKey; level: number; points: number };
/** What is to be tried next; `again` where it was missed before. */
export type Next = { key: DrillKey; level: number; again: boolean };

/** So many in a row at a level before it gets harder. */
const IN_A_ROW = 2;
/** What was missed comes again after so many others. */
const COMES_AFTER = 2;

/** How hard the next of a drill is: harder after two that were done in a row, easier after one that was missed. */
export function levelFor(key: DrillKey, tries: readonly Try[]): number {
  let level = 1;
  let row = 0;
  for (const one of tries) {
    if (one.key !== key) continue;
    if (one.points < MISSED_POINTS) {
      level = Math.max(1, Math.min(level, one.level) - 1);
      row = 0;
    } else if (one.points >= DONE_POINTS && one.level >= level) {
      level = Math.max(level, one.level);
      row++;
      if (row >= IN_A_ROW) {
        level = Math.min(LEVELS, level + 1);
        row = 0;
      }
    } else row = 0;
  }
  return level;
}

/** The drill that was missed longest ago and has not been done since, once so many others came between. */
function missed(keys: readonly DrillKey[], tries: readonly Try[]): DrillKey | undefined {
  const standing = new Map<DrillKey, number>();
  tries.forEach(({ key, points }, i) => {
    if (points < MISSED_POINTS) standing.set(key, i);
    else if (points >= DONE_POINTS) standing.delete(key);
  });
  return [...standing]
    .filter(
      ([key, at]) => keys.includes(key) && tries.length - 1 - at >= Math.min(COMES_AFTER, keys.length - 1)
    )
    .sort((a, b) => a[1] - b[1])[0]?.[0];
}

/**
 * What a learner is to try next: first what was missed, once two others came between; else the drill tried least, of those the
 * one tried longest ago.
 *
 * @param tries oldest first
 */
export function nextTry(keys: readonly DrillKey[], tries: readonly Try[]): Next {
  const again = missed(keys, tries);
  if (again) return { key: again, level: levelFor(again, tries), again: true };
  const times = (key: DrillKey) => tries.filter((one) => one.key === key).length;
  const last = (key: DrillKey) => tries.findLastIndex((one) => one.key === key);
  const [key] = [...keys].sort((a, b) => times(a) - times(b) || last(a) - last(b));
  return { key, level: levelFor(key, tries), again: false };
}

/** What somebody has made of one drill: how often it was tried, at which level it goes on, the last scores and their mean. */
export type DrillHistory = {
  key: DrillKey;
  tries: number;
  level: number;
  lastPoints: number[];
  meanPoints: number;
};

/** So many of the last tries of a drill are looked at. */
const LAST = 10;

/** The history of every drill, in the order in which they are learnt. @param tries oldest first */
export function historyOf(tries: readonly Try[]): DrillHistory[] {
  return DRILL_KEYS.map((key) => {
    const own = tries.filter((one) => one.key === key);
    const lastPoints = own.slice(-LAST).map((one) => one.points);
    const sum = lastPoints.reduce((total, points) => total + points, 0);
    return {
      key,
      tries: own.length,
      level: levelFor(key, tries),
      lastPoints,
      meanPoints: own.length > 0 ? Math.round(sum / lastPoints.length) : 0
    };
  });
}
