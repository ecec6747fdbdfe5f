import { createGesture, dragAction, pinchAction } from '@use-gesture/vanilla';
import { zoomIdentity, type ZoomTransform } from 'd3-zoom';
import type { Attachment } from 'svelte/attachments';

/** How far one has come nearer to a drawing: a place `p` of it is drawn at `k p + (x, y)`, all in the drawing's own units. */
export type Zoom = ZoomTransform;

/** The whole drawing. */
export const WHOLE: Zoom = zoomIdentity;

/** A drawing's width and height in its own units, and how near one may come. */
export type Sheet = { width: number; height: number; most: number };

/** What of a drawing is in sight: its upper left corner, width and height, in the drawing's own units. */
export function inSight(zoom: Zoom, sheet: Sheet): { x: number; y: number; width: number; height: number } {
  const { k } = zoom;
  return { x: -zoom.x / k, y: -zoom.y / k, width: sheet.width / k, height: sheet.height / k };
}

/** Slid by as much of the window, and kept over the drawing. */
export function slid(zoom: Zoom, by: { x: number; y: number }, sheet: Sheet): Zoom {
  const kept = (at: number, size: number) => Math.min(0, Math.max(size * (1 - zoom.k), at));
  const [x, y] = [kept(zoom.x + by.x, sheet.width), kept(zoom.y + by.y, sheet.height)];
  return WHOLE.translate(x, y).scale(zoom.k);
}

/**
 * Nearer or further off about a place, kept over the drawing.
 *
 * @param about place in the window, which stays where it is; the middle of the window if not given
 */
export function nearer(zoom: Zoom, by: number, sheet: Sheet, about?: { x: number; y: number }): Zoom {
  const k = Math.min(sheet.most, Math.max(1, zoom.k * by));
  const at = about ?? { x: sheet.width / 2, y: sheet.height / 2 };
  const [x, y] = zoom.invert([at.x, at.y]);
  return slid(WHOLE.translate(at.x - k * x, at.y - k * y).scale(k), { x: 0, y: 0 }, sheet);
}

const gesture = createGesture([dragAction, pinchAction]);

/** A hand that moves less than this, px, meant to press. */
const STILL_PX = 3;

/**
 * Lets a drawing be come nearer to by two fingers or by the wheel with Ctrl held, and slid by one hand while it is near.
 * A press that slides nothing is left to the drawing as a click; one that slides is none.
 *
 * @param o.sheet the drawing as it is now
 * @param o.zoom how near it is now
 * @param o.slides whether a hand may slide it; whenever it is near if not given
 */
export function zoomable(o: {
  sheet: () => Sheet;
  zoom: () => Zoom;
  slides?: () => boolean;
  onzoom: (to: Zoom) => void;
}): Attachment<SVGSVGElement> {
  return (node) => {
    /** Px on the screen to units of the window. */
    const units = () => o.sheet().width / node.getBoundingClientRect().width;
    let hasSlid = false;
    const forget = () => (hasSlid = false);
    const swallow = (event: Event) => {
      if (hasSlid) event.stopPropagation();
    };
    node.addEventListener('pointerdown', forget, true);
    node.addEventListener('click', swallow, true);
    const hands = gesture(
      node,
      {
        onDrag: ({ delta: [dx, dy], touches, cancel }) => {
          if (touches > 1 || o.zoom().k === 1 || o.slides?.() === false) return cancel();
          hasSlid = true;
          o.onzoom(slid(o.zoom(), { x: dx * units(), y: dy * units() }, o.sheet()));
        },
        onPinch: ({ offset: [k], origin: [px, py], event }) => {
          event.preventDefault();
          hasSlid = true;
          const box = node.getBoundingClientRect();
          const about = { x: (px - box.left) * units(), y: (py - box.top) * units() };
          o.onzoom(nearer(o.zoom(), k / o.zoom().k, o.sheet(), about));
        }
      },
      {
        eventOptions: { passive: false },
        drag: { threshold: STILL_PX, pointer: { keys: false } },
        pinch: { from: () => [o.zoom().k, 0], scaleBounds: () => ({ min: 1, max: o.sheet().most }) }
      }
    );
    return () => {
      hands.destroy();
      node.removeEventListener('pointerdown', forget, true);
      node.removeEventListener('click', swallow, true);
    };
  };
}
