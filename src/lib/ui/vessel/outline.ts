import { wallOf, type Vessel } from '$lib/core';

/** Drawn thickness of the glass wall, mm: real walls are thinner, a line must be seen. */
const WALL_MM = 2.4;
const CORNER_MM = 7;
/** The lid stands this far over the rim and reaches this far below it, mm. */
const LID = { over: 4, below: 7, wider: 3.5 };

/** To a tenth of a px: nobody sees more, and a shelf of thirty jars is sent with every page. */
export const tenth = (px: number) => Math.round(px * 10) / 10;

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
  /** The grip of the lid, as one path. */
  ribs?: string;
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
  const neck = tenth(top + gap * 0.4);
  const pull = tenth(gap * 0.3);
  const [l, g] = [-1, 1].map((side) => ({
    mouth: tenth(cx + side * mouth),
    wall: tenth(cx + side * r),
    turn: tenth(cx + side * (r - corner))
  }));
  const [rim, bend, foot, rise] = [top, shoulder, bottom, bottom - corner].map(tenth);
  const [high, low] = [tenth(neck + pull), tenth(bend - pull)];
  return (
    `M${l.mouth} ${rim}V${neck}C${l.mouth} ${high} ${l.wall} ${low} ${l.wall} ${bend}` +
    `V${rise}Q${l.wall} ${foot} ${l.turn} ${foot}H${g.turn}Q${g.wall} ${foot} ${g.wall} ${rise}` +
    `V${bend}C${g.wall} ${low} ${g.mouth} ${high} ${g.mouth} ${neck}V${rim}Z`
  );
}

/** A wall through measured widths, straight between them, over a bottom that may stand up in its middle. */
function measuredPath(
  cx: number,
  wall: readonly { half: number; y: number }[],
  bottom: number,
  dome: number,
  corner: number
): string {
  const sides = [-1, 1].map((side) => wall.map((p) => ({ x: tenth(cx + side * p.half), y: tenth(p.y) })));
  const [left, right] = [sides[0].toReversed(), sides[1]];
  const [low, foot] = [right[0], tenth(bottom)];
  const end = left[left.length - 1];
  const rise = tenth(bottom - corner);
  const [a, b] = [tenth(end.x + corner), tenth(low.x - corner)];
  const down = left.slice(0, -1).map((p) => `L${p.x} ${p.y}`);
  const up = right.slice(1).map((p) => `L${p.x} ${p.y}`);
  return (
    `M${left[0].x} ${left[0].y}${down.slice(1).join('')}L${end.x} ${rise}Q${end.x} ${foot} ${a} ${foot}` +
    `Q${tenth(cx)} ${tenth(bottom - 2 * dome)} ${b} ${foot}Q${low.x} ${foot} ${low.x} ${rise}${up.join('')}Z`
  );
}

const RIB_GAP = 11;

function lidOf(cx: number, half: number, top: number, scale: number) {
  const lid = {
    x: tenth(cx - half),
    y: tenth(top - LID.over * scale),
    width: tenth(half * 2),
    height: tenth((LID.over + LID.below) * scale)
  };
  const inset = tenth(Math.min(3, lid.height / 4));
  const rib = tenth(lid.height - 2 * inset);
  const more = Math.max(0, Math.floor(lid.width / RIB_GAP) - 2);
  const ribs =
    `M${tenth(lid.x + 10)} ${tenth(lid.y + inset)}v${rib}` + `m${RIB_GAP} -${rib}v${rib}`.repeat(more);
  return { lid, ribs };
}

const outlines = new Map<string, Outline>();

/** The drawing of a vessel at a scale in px per mm. Kept: jars of a shelf share few shapes. */
export function outlineOf(v: Vessel, scale: number): Outline {
  const measures = [
    v.innerHeightMm,
    v.innerDiameterMm,
    v.baseThicknessMm,
    v.shoulderHeightMm,
    v.mouthDiameterMm
  ];
  const key = [v.kind, ...measures, v.domeMm ?? 0, JSON.stringify(v.profile ?? 0), scale].join(' ');
  let made = outlines.get(key);
  if (!made) {
    if (outlines.size > 100) outlines.clear();
    outlines.set(key, (made = workOutline(v, scale)));
  }
  return made;
}

function workOutline(v: Vessel, scale: number): Outline {
  const size = drawnSizeMm(v);
  const width = tenth(size.widthMm * scale);
  const height = tenth(size.heightMm * scale);
  const cx = width / 2;
  const y = (mm: number) => tenth(height - 0.5 - (v.baseThicknessMm + mm) * scale);
  const r = (v.innerDiameterMm / 2) * scale;
  const mouth = (v.mouthDiameterMm / 2) * scale;
  const wall = WALL_MM * scale;
  const corner = Math.min(CORNER_MM, v.innerDiameterMm / 5) * scale;
  const top = y(v.innerHeightMm);
  const isJar = v.kind === 'jar';
  const shoulder = isJar ? y(v.shoulderHeightMm) : top + 1;
  const shaped = (v.profile?.length ?? 0) >= 2 || (v.domeMm ?? 0) > 0;
  const measured = (extra: number, bottom: number, dome: number, round: number) =>
    measuredPath(
      cx,
      wallOf(v).map((p) => ({ half: (p.diameterMm / 2) * scale + extra, y: y(p.heightMm) })),
      bottom,
      dome,
      round
    );
  return {
    width,
    height,
    y,
    inner: shaped
      ? measured(0, y(0), (v.domeMm ?? 0) * scale, corner * 0.5)
      : bodyPath(cx, r, mouth, top, shoulder, y(0), corner * 0.7),
    outer: shaped
      ? measured(wall, height - 0.5, 0, corner)
      : bodyPath(cx, r + wall, mouth + wall, top, shoulder, height - 0.5, corner),
    innerLeft: tenth(cx - r),
    innerRight: tenth(cx + r),
    ...(isJar ? lidOf(cx, mouth + wall + LID.wider * scale, top, scale) : {}),
    graduations: isJar
      ? []
      : Array.from({ length: 10 }, (_, i) => ({ y: y((v.innerHeightMm * (i + 1)) / 11), long: i % 2 === 1 })),
    foot: isJar
      ? undefined
      : `M1 ${tenth(height - 0.5)}H${tenth(width - 1)}L${tenth(cx + r + wall)} ${tenth(height - 5 * scale)}H${tenth(cx - r - wall)}Z`
  };
}

/** Where the swells of a level end, as shares of the way across: uneven, so that no two jars look ruled. */
const SWELLS = [0.3, 0.22, 0.28, 0.2];

/** A level that is not quite straight, from left to right, in px. */
export function waterline(left: number, right: number, y: number, phase: number): string {
  const width = right - left;
  const lift = phase % 2 === 0 ? 1.6 : -1.6;
  const [first, ...rest] = SWELLS.map((_, i) => tenth(width * SWELLS[(i + phase) % SWELLS.length]));
  return `M${left} ${tenth(y)}q${tenth(first * 0.45)} ${lift} ${first} 0${rest.map((w) => `t${w} 0`).join('')}L${right} ${tenth(y)}`;
}

/** A hand-cut strip of tape: straight at the glass, torn at the end. */
export function tapePath(x: number, y: number, width: number, height: number): string {
  const third = height / 3;
  const [a, b] = [tenth(third * 0.7), tenth(third * 0.8)];
  const rest = tenth(height - a - b);
  return (
    `M${tenth(x)} ${tenth(y)}h${tenth(width)}l-4 ${a}l4 ${b}l-4 ${b}l4 ${tenth(height - a - 2 * b)}H${tenth(x)}` +
    `l3 -${tenth(rest / 2)}l-3 -${b}l3 -${tenth(rest / 2)}Z`
  );
}
