import { compareUrgency, isPressing, type NextStep } from '../core/index.ts';

/** A jar with what it waits for, as far as it is called. */
type Calling = { jar: { id: string }; run: unknown; step: NextStep };

/** Pages of one jar: the jar is in their address. */
const PAGES_OF_A_JAR = /^\/(set|tests|read)\/\[id\]/;

/** The jar that a page is about; null on pages of none. Keys act on it, and on no other. */
export function jarOfPage(routeId: string | null, params: Record<string, string>): string | null {
  return routeId !== null && PAGES_OF_A_JAR.test(routeId) ? (params.id ?? null) : null;
}

/**
 * What is called: the most pressing step, or that of the picked jar where it presses too. Kept steady by `steadyBench`, it is
 * what the title, the header, the shelf, buttons, keys, notices and the voice go by.
 */
export function calledOn<V extends Calling>(views: readonly V[], pickedId: string | null): V | undefined {
  const pressing = [...views]
    .sort((a, b) => compareUrgency(a.step, b.step))
    .filter((v) => isPressing(v.step));
  return pressing.find((v) => v.jar.id === pickedId) ?? pressing[0];
}

/** What a key does. */
export type KeyAct = 'mark' | 'set-down' | 'read';

const TAKES: Record<KeyAct, (v: Calling) => boolean> = {
  mark: ({ step }) => step.kind === 'mark' || step.kind === 'gauge',
  'set-down': ({ run, step }) => !run && (step.kind === 'set-down' || step.kind === 'shake'),
  read: ({ run }) => Boolean(run)
};

/**
 * The jar that a key acts on. On the page of one jar that jar, and no other. On the bench what the title calls, then the
 * picked jar, then the only one that takes the key. Anywhere else only what the title calls: nothing else is shown there.
 */
export function keyTarget<V extends Calling>(
  act: KeyAct,
  { views, called }: { views: readonly V[]; called: V | undefined },
  at: { subject: string | null; bench: boolean; picked: string | null }
): V | undefined {
  const takes = TAKES[act];
  if (at.subject !== null) return views.find((v) => v.jar.id === at.subject && takes(v));
  const own = act === 'read' ? called?.step.kind === 'read' : called && takes(called);
  if (called && own) return called;
  if (!at.bench) return undefined;
  const picked = views.find((v) => v.jar.id === at.picked && takes(v));
  if (picked) return picked;
  const able = views.filter((v) => takes(v) && (act !== 'read' || v.step.kind === 'read'));
  // A mark that is not due is never pressed on a jar that nobody picked.
  return act !== 'mark' && able.length === 1 ? able[0] : undefined;
}
