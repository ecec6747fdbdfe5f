import { DragGesture } from '@use-gesture/vanilla';
import type { Attachment } from 'svelte/attachments';

/** A place in the drawing or track that a thing moves in: user units of an SVG, else px from its upper left corner. */
export type Spot = { x: number; y: number };

/** Where a place on the screen lies in an element, in that element's own units. */
function inside(element: Element, [x, y]: readonly [number, number]): Spot {
  if (element instanceof SVGGraphicsElement) {
    const own = element.getScreenCTM();
    return own ? new DOMPoint(x, y).matrixTransform(own.inverse()) : { x, y };
  }
  const box = element.getBoundingClientRect();
  return { x: x - box.left, y: y - box.top };
}

/**
 * Lets a thing be dragged by mouse, finger or pen; it takes the focus, so that the arrow keys go on where the hand stopped.
 *
 * @param o.within what it moves in
 * @param o.at where it is when it is taken hold of: it keeps its place under the hand
 * @param o.onheld told when it is taken hold of, and when it is let go
 */
export function draggable(o: {
  within: () => Element;
  at: () => Spot;
  onmove: (to: Spot) => void;
  onheld?: (held: boolean) => void;
}): Attachment<HTMLElement | SVGElement> {
  return (node) => {
    // Of what moves under the hand neither the page nor the drawing behind it makes anything.
    node.style.touchAction = 'none';
    let grip: Spot = { x: 0, y: 0 };
    const gesture = new DragGesture(
      node,
      ({ first, last, xy, event }) => {
        const hand = inside(o.within(), xy);
        if (first) {
          event.preventDefault();
          event.stopPropagation();
          node.focus();
          const at = o.at();
          grip = { x: at.x - hand.x, y: at.y - hand.y };
          o.onheld?.(true);
        }
        o.onmove({ x: hand.x + grip.x, y: hand.y + grip.y });
        if (last) o.onheld?.(false);
      },
      // The keys are read by themselves: they move in steps of what is moved.
      { pointer: { keys: false, capture: true }, eventOptions: { passive: false } }
    );
    return () => gesture.destroy();
  };
}

/** What the keys of movement ask for, in steps. */
export type KeyStep = { right: number; up: number; page: number };

const STEPS: Record<string, Partial<KeyStep>> = {
  ArrowLeft: { right: -1 },
  ArrowRight: { right: 1 },
  ArrowUp: { up: 1 },
  ArrowDown: { up: -1 },
  PageUp: { page: 1 },
  PageDown: { page: -1 }
};

/** Reads a key of movement, which then moves nothing else; undefined for any other key. */
export function keyStep(event: KeyboardEvent): KeyStep | undefined {
  const step = STEPS[event.key];
  if (!step) return undefined;
  event.preventDefault();
  return { right: 0, up: 0, page: 0, ...step };
}
