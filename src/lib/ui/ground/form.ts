import { checkOutline, outcomeOf, type History, type Outline, type Point } from '$lib/core';
import type { AreaRecord } from '$lib/contract/records/ground';
import type { Purpose } from '$lib/contract/records/sample';

/** What is typed about an area, and its outline. */
export type AreaForm = {
  name: string;
  purpose: Purpose;
  history: History[];
  note: string;
  outline: Point[];
};

const EMPTY_AREA: AreaForm = { name: '', purpose: 'garden', history: [], note: '', outline: [] };

/** An area in the making: drawn or written up. */
export type AreaWork = {
  /** Id of the area that is written up; null while a new one is made. */
  editing: string | null;
  /** Whether its outline has been closed. */
  closed: boolean;
  form: AreaForm;
  /** Its measures, where it is put down as a rectangle. */
  wide: string;
  high: string;
};

/** A new area, nothing drawn. */
export function newWork(): AreaWork {
  return { editing: null, closed: false, form: structuredClone(EMPTY_AREA), wide: '', high: '' };
}

/** The form of an area on record. */
export function areaForm({ name, purpose, history, note, outline }: AreaRecord): AreaForm {
  return { name, purpose, history: [...history], note, outline: [...outline] };
}

/** A rectangle of some measures with its middle at a place, m, corners to the centimetre. */
export function rectangleAt([x, y]: Point, wideM: number, highM: number): Point[] {
  const round = (v: number) => Math.round(v * 100) / 100;
  const [left, right, low, top] = [x - wideM / 2, x + wideM / 2, y - highM / 2, y + highM / 2].map(round);
  return [
    [left, low],
    [right, low],
    [right, top],
    [left, top]
  ];
}

/** Where an area of some measures finds room: right of what is drawn, on the ground line. */
export function freePlace(outlines: readonly Outline[], wideM: number, highM: number): Point {
  const all = outlines.flat();
  if (all.length === 0) return [12, 7.5];
  const right = Math.max(...all.map((p) => p[0]));
  const low = Math.min(...all.map((p) => p[1]));
  return [right + 2 + wideM / 2, low + highM / 2];
}

/** Why an outline is no area, in a sentence; empty for a good one. */
export const outlineProblem = (outline: Outline): string =>
  outcomeOf(() => checkOutline(outline)).problem?.message ?? '';
