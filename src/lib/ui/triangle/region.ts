import { contours } from 'd3-contour';
import type { DensityGrid } from '$lib/core';
import { pathOf, type Frame } from '$lib/workbench/triangle/frame';

/** The outline of a 90 % region as an SVG path; empty where there is none. */
export function regionShape(grid: DensityGrid | undefined, frame: Frame): string {
  return grid ? outlineAt(grid, grid.level, frame) : '';
}

/** Layers of ink, each within the one before: where draws lie denser it is darker. */
export const inkShapes = (grid: DensityGrid | undefined, frame: Frame): string[] =>
  grid ? grid.ink.map((level) => outlineAt(grid, level, frame)) : [];

function outlineAt(
  { columns, rows, values, x0, y0, cell }: DensityGrid,
  level: number,
  frame: Frame
): string {
  const shape = contours().size([columns, rows]).thresholds([level])(values)[0];
  return shape.coordinates
    .flat()
    .map((ring) => pathOf(ring.map(([gx, gy]) => frame.at({ x: x0 + gx * cell, y: y0 + gy * cell }))))
    .join('');
}
