import type { Point } from '$lib/core';

const STEPS: Record<string, Point> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1]
};
/** How far an arrow key moves a place, m, alone and with shift. */
const STEP_M = { alone: 0.1, shift: 1 };

/** Where an arrow key moves a place; undefined for any other key. */
export function placeByKey(event: KeyboardEvent, [x, y]: Point): Point | undefined {
  const step = STEPS[event.key];
  if (!step) return undefined;
  event.preventDefault();
  const by = event.shiftKey ? STEP_M.shift : STEP_M.alone;
  return [x + step[0] * by, y + step[1] * by];
}

/** Presses something drawn by Enter or space, as a button is. */
export function pressByKey(event: KeyboardEvent, act: () => void): void {
  if (event.key !== 'Enter' && event.key !== ' ') return;
  event.preventDefault();
  act();
}
