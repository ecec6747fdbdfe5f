import { getContext, setContext } from 'svelte';
import type { HoleView } from '../workbench/holes.ts';
import type { TrialView } from '../workbench/trials.ts';
import type { BenchNow } from '../workbench/steady.ts';

const KEY = Symbol('bench');

/** Gives every page the bench as it stands now: its jars in their places, and what is called. */
export function setBench(bench: () => BenchNow): void {
  setContext(KEY, bench);
}

/** The bench, to be asked in a derived value. */
export function benchNow(): () => BenchNow {
  return getContext<() => BenchNow>(KEY);
}

const GROUND = Symbol('ground');

/** Gives every page the holes in the ground as they stand now, the most pressing first. */
export function setGround(ground: () => HoleView[]): void {
  setContext(GROUND, ground);
}

/** The holes in the ground, to be asked in a derived value. */
export function ground(): () => HoleView[] {
  return getContext<() => HoleView[]>(GROUND);
}

const PIECES = Symbol('pieces');

/** Gives every page the sets of trial pieces under way as they stand now, the most pressing first. */
export function setPieces(pieces: () => TrialView[]): void {
  setContext(PIECES, pieces);
}

/** The sets of trial pieces under way, to be asked in a derived value. */
export function piecesUnderWay(): () => TrialView[] {
  return getContext<() => TrialView[]>(PIECES);
}
