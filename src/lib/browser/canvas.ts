import { known } from '../core/index.ts';

/** What a canvas is drawn on with. It gives the kind of drawing that it is first asked for, and here no other is. */
export function drawingOn(canvas: HTMLCanvasElement): CanvasRenderingContext2D {
  return known(canvas.getContext('2d'), 'a canvas gives the context it is first asked for');
}
