import { drag, type D3DragEvent } from 'd3-drag';
import { select } from 'd3-selection';
import type { Attachment } from 'svelte/attachments';

/** A place in the drawing or track that a thing moves in: user units of an SVG, else px from its upper left corner. */
export type Spot = { x: number; y: number };

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
    type Event = D3DragEvent<HTMLElement | SVGElement, unknown, Spot>;
    const taken = drag<HTMLElement | SVGElement, unknown, Spot>()
      .container(() => o.within() as HTMLElement)
      .subject(() => o.at())
      .on('start', (event: Event) => {
        event.sourceEvent.stopPropagation();
        node.focus();
        o.onheld?.(true);
      })
      .on('drag', (event: Event) => o.onmove({ x: event.x, y: event.y }))
      .on('end', () => o.onheld?.(false));
    select<HTMLElement | SVGElement, unknown>(node).call(taken as never);
    return () => void select(node).on('.drag', null);
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
