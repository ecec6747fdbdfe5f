import { getContext, setContext } from 'svelte';
import type { HoleView } from '../workbench/holes.ts';
import type { TrialView } from '../workbench/trials.ts';
import type { JarView } from '../workbench/jars.ts';

const KEY = Symbol('shelf');

/** Gives every page the jars on the shelf as they stand now, in the order in which keys and eyes find them. */
export function setShelf(shelf: () => JarView[]): void {
  setContext(KEY, shelf);
}

/** The jars on the shelf, to be asked in a derived value. */
export function shelf(): () => JarView[] {
  return getContext<() => JarView[]>(KEY);
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
