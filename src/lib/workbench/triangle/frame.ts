import {
  fromTriangle,
  textureSystems,
  toTriangle,
  type Fractions,
  type SystemId,
  type TrianglePoint
} from '../../core/index.ts';
import { middleOf, type Place } from './labels.ts';

/** Where the triangle lies in its drawing, px. */
export type Frame = {
  side: number;
  rise: number;
  width: number;
  height: number;
  /** From the triangle's own coordinates (see `toTriangle`) to px. */
  at: (p: TrianglePoint) => Place;
  place: (f: Fractions) => Place;
  /** The inverse of `place`; a part may then be below zero. */
  back: (p: Place) => Fractions;
};

const PAD = { left: 46, top: 20, right: 40, bottom: 48 };

/** A frame for a triangle of a given side, px. */
export function frameOf(side: number): Frame {
  const rise = (side * Math.sqrt(3)) / 2;
  const at = (p: TrianglePoint) => ({ x: PAD.left + p.x * side, y: PAD.top + (1 - p.y) * rise });
  return {
    side,
    rise,
    width: side + PAD.left + PAD.right,
    height: rise + PAD.top + PAD.bottom,
    at,
    place: (f) => at(toTriangle(f)),
    back: ({ x, y }) => fromTriangle({ x: (x - PAD.left) / side, y: 1 - (y - PAD.top) / rise })
  };
}

/** A closed outline as an SVG path. */
export function pathOf(points: readonly Place[]): string {
  return `M${points.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}Z`;
}

/** The triangle itself, as an SVG path. */
export const outlineOf = ({ place }: Frame): string =>
  pathOf([
    place({ sand: 100, silt: 0, clay: 0 }),
    place({ sand: 0, silt: 100, clay: 0 }),
    place({ sand: 0, silt: 0, clay: 100 })
  ]);

/** A class as it is drawn; its area is in points squared of the whole triangle. */
export type DrawnClass = {
  id: string;
  name: string;
  words: string[];
  corners: Place[];
  d: string;
  area: number;
};

/** Classes of a system on a frame. Groups that go by a code bear the code. */
export function drawnClasses(system: SystemId, frame: Frame): DrawnClass[] {
  return textureSystems[system].classes.map((c) => {
    const corners = c.polygon.map(frame.place);
    const area = middleOf(corners).area / ((frame.side * frame.rise) / 10_000);
    return { id: c.id, name: c.name, words: c.name.split(' '), corners, d: pathOf(corners), area };
  });
}

/** The point on the triangle that lies nearest: no part below nothing. */
export function ontoPaper(f: Fractions): Fractions {
  const parts = [f.sand, f.silt, f.clay].map((x) => Math.max(0, x));
  const sum = parts[0] + parts[1] + parts[2];
  const [sand, silt, clay] = parts.map((x) => (100 * x) / sum);
  return { sand, silt, clay };
}

/**
 * The three reading lines of a point: from it to the edge where its percentage is written, each along the direction in
 * which that percentage stays the same.
 */
export function readingLines(f: Fractions, frame: Frame): { key: keyof Fractions; to: Place }[] {
  return [
    { key: 'clay', to: frame.place({ sand: 100 - f.clay, silt: 0, clay: f.clay }) },
    { key: 'silt', to: frame.place({ sand: 0, silt: f.silt, clay: 100 - f.silt }) },
    { key: 'sand', to: frame.place({ sand: f.sand, silt: 100 - f.sand, clay: 0 }) }
  ];
}
