import type { Frame } from '$lib/workbench/triangle/frame';

/** What of the drawing is in sight: how near, and its upper left corner. */
export type View = { k: number; x: number; y: number };

const NEAREST = 12;

/** The view nearer or further off about a place, kept within the paper. */
export function zoomed(view: View, by: number, about: { x: number; y: number }, frame: Frame): View {
  const k = Math.min(NEAREST, Math.max(1, view.k * by));
  const [w, h] = [frame.width / k, frame.height / k];
  const keep = (from: number, whole: number, part: number) => Math.min(whole - part, Math.max(0, from));
  return {
    k,
    x: keep(about.x - ((about.x - view.x) * view.k) / k, frame.width, w),
    y: keep(about.y - ((about.y - view.y) * view.k) / k, frame.height, h)
  };
}
