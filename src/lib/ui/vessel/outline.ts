import type { Vessel } from '$lib/core';

/** Drawn thickness of the glass wall, mm: real walls are thinner, a line must be seen. */
const WALL_MM = 2.4;
const CORNER_MM = 7;
/** The lid stands this far over the rim and reaches this far below it, mm. */
const LID = { over: 4, below: 7, wider: 3.5 };

/** Paths and places of a vessel in px, from one scale. */
export type Outline = {
  width: number;
  height: number;
  /** Height over the inside bottom, mm, to y in px. */
  y(mm: number): number;
  inner: string;
  outer: string;
  innerLeft: number;
  innerRight: number;
  lid?: { x: number; y: number; width: number; height: number };
  graduations: { y: number; long: boolean }[];
  foot?: string;
};

/** Drawn size of a vessel, mm: what the shelf needs before it knows the scale. */
export function drawnSizeMm(v: Vessel): { widthMm: number; heightMm: number } {
  const foot = v.kind === 'cylinder' ? v.innerDiameterMm * 0.35 : 0;
  return {
    widthMm: v.innerDiameterMm + 2 * WALL_MM + foot + 1,
    heightMm: v.innerHeightMm + v.baseThicknessMm + LID.over + 1
  };
}

function bodyPath(
  cx: number,
  r: number,
  mouth: number,
  top: number,
  shoulder: number,
  bottom: number,
  corner: number
) {
  const gap = shoulder - top;
  const neck = top + gap * 0.4;
  const pull = gap * 0.3;
  const half = (side: 1 | -1) => ({
    mouth: cx + side * mouth,
    wall: cx + side * r,
    turn: cx + side * (r - corner)
  });
  const [l, g] = [half(-1), half(1)];
  return (
    `M${l.mouth} ${top}V${neck}C${l.mouth} ${neck + pull} ${l.wall} ${shoulder - pull} ${l.wall} ${shoulder}` +
    `V${bottom - corner}Q${l.wall} ${bottom} ${l.turn} ${bottom}H${g.turn}Q${g.wall} ${bottom} ${g.wall} ${bottom - corner}` +
    `V${shoulder}C${g.wall} ${shoulder - pull} ${g.mouth} ${neck + pull} ${g.mouth} ${neck}V${top}Z`
  );
}

/** Works out the drawing of a vessel at a scale in px per mm. */
export function outlineOf(v: Vessel, scale: number): Outline {
  const size = drawnSizeMm(v);
  const width = size.widthMm * scale;
  const height = size.heightMm * scale;
  const cx = width / 2;
  const y = (mm: number) => height - 0.5 - (v.baseThicknessMm + mm) * scale;
  const r = (v.innerDiameterMm / 2) * scale;
  const mouth = (v.mouthDiameterMm / 2) * scale;
  const wall = WALL_MM * scale;
  const isJar = v.kind === 'jar';
  const corner = Math.min(CORNER_MM, v.innerDiameterMm / 5) * scale;
  const top = y(v.innerHeightMm);
  const shoulder = isJar ? y(v.shoulderHeightMm) : top + 1;
  const lidHalf = mouth + wall + LID.wider * scale;
  return {
    width,
    height,
    y,
    inner: bodyPath(cx, r, mouth, top, shoulder, y(0), corner * 0.7),
    outer: bodyPath(cx, r + wall, mouth + wall, top, shoulder, height - 0.5, corner),
    innerLeft: cx - r,
    innerRight: cx + r,
    lid: isJar
      ? {
          x: cx - lidHalf,
          y: top - LID.over * scale,
          width: lidHalf * 2,
          height: (LID.over + LID.below) * scale
        }
      : undefined,
    graduations: isJar
      ? []
      : Array.from({ length: 10 }, (_, i) => ({ y: y((v.innerHeightMm * (i + 1)) / 11), long: i % 2 === 1 })),
    foot: isJar
      ? undefined
      : `M1 ${height - 0.5}H${width - 1}L${cx + r + wall} ${height - 5 * scale}H${cx - r - wall}Z`
  };
}

/** A level that is not quite straight, from left to right, in px. */
export function waterline(left: number, right: number, y: number, phase: number): string {
  const steps = 12;
  let path = `M${left} ${y.toFixed(1)}`;
  for (let i = 1; i <= steps; i++) {
    const x = left + ((right - left) * i) / steps;
    path += `L${x.toFixed(1)} ${(y + 1.1 * Math.sin(i * 1.7 + phase)).toFixed(1)}`;
  }
  return path;
}

/** A hand-cut strip of tape: straight at the glass, torn at the end. */
export function tapePath(x: number, y: number, width: number, height: number): string {
  const third = height / 3;
  const end = x + width;
  return (
    `M${x} ${y}H${end}l-4 ${third * 0.7}l4 ${third * 0.8}l-4 ${third * 0.8}l4 ${third * 0.7}H${x}` +
    `l3 ${-third * 0.8}l-3 ${-third * 0.7}l3 ${-third * 0.8}Z`
  );
}
