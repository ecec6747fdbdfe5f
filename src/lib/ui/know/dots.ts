import { drawingOn } from '$lib/browser/canvas';
import type { Frame } from '$lib/workbench/triangle/frame';
import type { Place } from '$lib/workbench/triangle/labels';

/** What of the drawing is in sight: how near, and its upper left corner. */
export type View = { k: number; x: number; y: number };

/** Dots get smaller and fainter the more there are, so that a crowd still shows where it is thickest. */
function lookOf(count: number): { r: number; opacity: number } {
  if (count > 5000) return { r: 1.1, opacity: 0.22 };
  return count > 500 ? { r: 2, opacity: 0.45 } : { r: 4, opacity: 0.85 };
}

/**
 * Paints dots: fifty thousand elements would be too many for a page.
 *
 * @param wide width of the canvas on the screen, px
 */
export function paintDots(
  canvas: HTMLCanvasElement,
  placed: readonly Place[],
  o: { frame: Frame; view: View; wide: number }
): void {
  const { frame, view, wide } = o;
  const ratio = devicePixelRatio || 1;
  const scale = (wide * ratio) / (frame.width / view.k);
  canvas.width = Math.round(wide * ratio);
  canvas.height = Math.round((wide * ratio * frame.height) / frame.width);
  const ctx = drawingOn(canvas);
  const look = lookOf(placed.length);
  const r = look.r * ratio;
  ctx.fillStyle = getComputedStyle(canvas).color;
  ctx.globalAlpha = look.opacity;
  ctx.beginPath();
  for (const p of placed) {
    const [x, y] = [(p.x - view.x) * scale, (p.y - view.y) * scale];
    if (look.r < 2) ctx.rect(x - r, y - r, 2 * r, 2 * r);
    else {
      ctx.moveTo(x + r, y);
      ctx.arc(x, y, r, 0, 2 * Math.PI);
    }
  }
  ctx.fill();
}

/** The same dots as one path, for a file. */
export function dotsPath(placed: readonly Place[], colour: string): SVGPathElement {
  const { r, opacity } = lookOf(placed.length);
  const path = document.createElementNS('http://www.w3.org/2000/svg', 'path');
  path.setAttribute('d', placed.map((p) => `M${p.x.toFixed(1)} ${p.y.toFixed(1)}h0`).join(''));
  path.setAttribute(
    'style',
    `fill: none; stroke: ${colour}; stroke-width: ${2 * r}; stroke-linecap: round; stroke-opacity: ${opacity}`
  );
  return path;
}

/** Two strokes of an arrow's head at `b`, of a size in px of the frame. */
export function arrowHead(a: Place, b: Place, size: number): string {
  const angle = Math.atan2(b.y - a.y, b.x - a.x);
  const side = (turn: number) =>
    `${(b.x - size * Math.cos(angle + turn)).toFixed(1)} ${(b.y - size * Math.sin(angle + turn)).toFixed(1)}`;
  return `M${side(0.45)}L${b.x.toFixed(1)} ${b.y.toFixed(1)}L${side(-0.45)}`;
}
