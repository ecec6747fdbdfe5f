import { clock } from './clock.svelte.ts';

/** A mouse that has rested for so long is no hand any more, ms: what falls due must be called. */
const RESTED_MS = 5000;

/** Where buttons stand that act on what is called: elements with this attribute. */
const NEAR = '[data-steady]';

let movedAt = $state(-Infinity);
let down = $state(false);

/** Whether a finger is on, or a pointer moves about, what acts on what is called: nothing changes under it then. */
export const hand = {
  get near(): boolean {
    return down || clock.now - movedAt < RESTED_MS;
  }
};

/** Watches where the pointer is. @returns how to stop */
export function watchHand(): () => void {
  const isNear = (event: PointerEvent) =>
    event.target instanceof Element && event.target.closest(NEAR) !== null;
  const moved = (event: PointerEvent) => {
    if (event.pointerType === 'mouse') movedAt = isNear(event) ? clock.now : -Infinity;
  };
  const pressed = (event: PointerEvent) => {
    down = isNear(event);
  };
  const released = () => {
    down = false;
  };
  const on: [string, (event: PointerEvent) => void][] = [
    ['pointermove', moved],
    ['pointerdown', pressed],
    ['pointerup', released],
    ['pointercancel', released]
  ];
  for (const [name, heard] of on) addEventListener(name, heard as EventListener, { passive: true });
  return () => {
    for (const [name, heard] of on) removeEventListener(name, heard as EventListener);
  };
}
