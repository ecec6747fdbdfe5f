import type { Point } from '$lib/core';
import { keyStep } from '../kit/handle';

/** How far an arrow key moves a place, m, alone and with shift. */
const STEP_M = { alone: 0.1, shift: 1 };

/** Where an arrow key moves a place; undefined for any other key. */
export function placeByKey(event: KeyboardEvent, [x, y]: Point): Point | undefined {
  const keys = keyStep(event);
  const by = event.shiftKey ? STEP_M.shift : STEP_M.alone;
  return keys && [x + keys.right * by, y + (keys.up + 10 * keys.page) * by];
}

/** Presses something drawn by Enter or space, as a button is. */
export function pressByKey(event: KeyboardEvent, act: () => void): void {
  if (event.key !== 'Enter' && event.key !== ' ') return;
  event.preventDefault();
  act();
}
