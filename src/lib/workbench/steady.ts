import { isPressing } from '../core/index.ts';
import { calledOn } from './called.ts';
import { byUrgency, shelfOrder, type JarView } from './jars.ts';

/** What is called stays so for this long after it changed, ms: a hand on its way must find what it set out for. */
export const STEADY_MS = 2000;

/** What stands where on a bench, and what is called: one answer for the header, the title, the shelf, buttons, keys and voice. */
export type BenchNow = {
  /** Jars in the places in which they stand. */
  views: JarView[];
  /** What is called now, if anything is; and what is to be done first, called or not. */
  called: JarView | undefined;
  head: JarView | undefined;
  /** Where something changed within {@link STEADY_MS}, the jar that was called before, and jars by the places they had. */
  before: { calledId: string | undefined; places: string[] } | undefined;
};

/**
 * Keeps what is called and the places of jars while a hand is near, and for {@link STEADY_MS} after a change. What somebody picks
 * is theirs at once; a jar that is new stands at the end; one that is gone, or waits for nothing any more, gives way.
 */
export function steadyBench(): (
  jars: readonly JarView[],
  o: { pickedId: string | null; handNear: boolean; now: number }
) => BenchNow {
  let places: string[] = [];
  let headId: string | undefined;
  let calledId: string | undefined;
  let picked: string | null = null;
  let changedAt = -Infinity;
  let before: BenchNow['before'];
  return (jars, { pickedId, handNear, now }) => {
    const sorted = shelfOrder(jars);
    const wanted = calledOn(sorted, pickedId) ?? byUrgency(sorted)[0];
    const held = sorted.find((v) => v.jar.id === headId);
    const chosen = pickedId !== picked;
    picked = pickedId;
    const fresh = now - changedAt < STEADY_MS && now >= changedAt;
    const still = handNear || fresh;
    const keep = held !== undefined && still && !chosen;
    const head = keep ? held : wanted;
    const ids = sorted.map((v) => v.jar.id);
    const stand = (v: JarView) => (places.includes(v.jar.id) ? places.indexOf(v.jar.id) : places.length);
    const views = still && places.length > 0 ? [...sorted].sort((a, b) => stand(a) - stand(b)) : sorted;
    const moved =
      headId !== undefined && (head?.jar.id !== headId || (!still && ids.join() !== places.join()));
    if (moved && !chosen) {
      before = { calledId, places };
      changedAt = now;
    }
    const called = head && isPressing(head.step) ? head : undefined;
    headId = head?.jar.id;
    calledId = called?.jar.id;
    places = views.map((v) => v.jar.id);
    return { views, called, head, before: now - changedAt < STEADY_MS ? before : undefined };
  };
}

/**
 * The jar that a press may have been meant for: what was called, or stood in this place, until just now.
 * @param at the place on the shelf; left out for the one button that acts on what is called
 */
export function justBefore({ views, before }: BenchNow, pressedId: string, at?: number): JarView | undefined {
  const id = before && (at === undefined ? before.calledId : before.places[at]);
  return id === pressedId ? undefined : views.find((v) => v.jar.id === id);
}
