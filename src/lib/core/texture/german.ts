import type { Fractions } from '../physics/bands.ts';
import { ON, vertex } from './point.ts';
import type { TextureClass, TextureSystem } from './types.ts';

/** A row of clay from-to, percent, and its groups by the silt they end under; the last one has no end. */
type Row = { fromC: number; toC: number; groups: readonly [id: string, underZ: number][] };

const ALL = 101;
/** Source: the soil mapping guideline, 5th edition. Lower bounds belong to the group. */
const ROWS: readonly Row[] = [
  { fromC: 65, toC: 100, groups: [['Tt', ALL]] },
  {
    fromC: 45,
    toC: 65,
    groups: [
      ['Ts2', 15],
      ['Tl', 30],
      ['Tu2', ALL]
    ]
  },
  {
    fromC: 35,
    toC: 45,
    groups: [
      ['Ts3', 15],
      ['Lts', 30],
      ['Lt3', 50],
      ['Tu3', ALL]
    ]
  },
  {
    fromC: 30,
    toC: 35,
    groups: [
      ['Ts4', 15],
      ['Lts', 30],
      ['Lt2', 50],
      ['Tu3', 65],
      ['Tu4', ALL]
    ]
  },
  {
    fromC: 25,
    toC: 30,
    groups: [
      ['Ts4', 15],
      ['Lts', 30],
      ['Lt2', 50],
      ['Lu', 65],
      ['Tu4', ALL]
    ]
  },
  {
    fromC: 17,
    toC: 25,
    groups: [
      ['St3', 15],
      ['Ls4', 30],
      ['Ls3', 40],
      ['Ls2', 50],
      ['Lu', 65],
      ['Ut4', ALL]
    ]
  },
  {
    fromC: 12,
    toC: 17,
    groups: [
      ['St2', 10],
      ['Sl4', 40],
      ['Slu', 50],
      ['Uls', 65],
      ['Ut3', ALL]
    ]
  },
  {
    fromC: 8,
    toC: 12,
    groups: [
      ['St2', 10],
      ['Sl3', 40],
      ['Slu', 50],
      ['Uls', 65],
      ['Ut2', ALL]
    ]
  },
  {
    fromC: 5,
    toC: 8,
    groups: [
      ['St2', 10],
      ['Sl2', 25],
      ['Su3', 40],
      ['Su4', 50],
      ['Us', 80],
      ['Uu', ALL]
    ]
  },
  {
    fromC: 0,
    toC: 5,
    groups: [
      ['Ss', 10],
      ['Su2', 25],
      ['Su3', 40],
      ['Su4', 50],
      ['Us', 80],
      ['Uu', ALL]
    ]
  }
];

/** A group's share of one row: silt from-to at the row's lower and upper clay. */
type Tile = { fromC: number; toC: number; fromZ: number; toZ: number };

function tilesOf(id: string): Tile[] {
  return ROWS.flatMap(({ fromC, toC, groups }) =>
    groups.flatMap(([group, underZ], i) =>
      group === id ? [{ fromC, toC, fromZ: i === 0 ? 0 : groups[i - 1][1], toZ: underZ }] : []
    )
  ).sort((a, b) => a.fromC - b.fromC);
}

/** The outline of a group: up the side of more silt, down that of less, cut off where sand is none. */
function outlineOf(id: string): Fractions[] {
  const at = (silt: number, clay: number) => vertex(100 - silt - clay, silt, clay);
  const up: Fractions[] = [];
  const down: Fractions[] = [];
  for (const { fromC, toC, fromZ, toZ } of tilesOf(id)) {
    up.push(at(Math.min(toZ, 100 - fromC), fromC));
    if (toZ < 100 - fromC && toZ > 100 - toC) up.push(at(toZ, 100 - toZ));
    if (100 - toC > fromZ) up.push(at(Math.min(toZ, 100 - toC), toC));
    down.unshift(at(fromZ, fromC));
    if (100 - toC >= fromZ) down.unshift(at(fromZ, toC));
    else down.unshift(at(fromZ, 100 - fromZ));
  }
  const ring = [...up, ...down];
  return ring.filter((v, i) => {
    const before = ring[(i + ring.length - 1) % ring.length];
    return Math.abs(v.silt - before.silt) > ON || Math.abs(v.clay - before.clay) > ON;
  });
}

const ids = [...new Set(ROWS.flatMap((row) => row.groups.map(([id]) => id)))];
const classes: TextureClass[] = ids.map((id) => ({ id, name: id, polygon: outlineOf(id) }));
/** Rows as plain numbers, for inner loops. */
const table = ROWS.map(({ fromC, groups }) => ({
  fromC,
  underZ: groups.map(([, z]) => z),
  index: groups.map(([id]) => ids.indexOf(id))
}));

function indexByRules(_s: number, z: number, c: number): number {
  for (const row of table) {
    if (c < row.fromC - ON) continue;
    for (let i = 0; i < row.underZ.length; i++) if (z < row.underZ[i] - ON) return row.index[i];
  }
  return -1;
}

/** The 31 texture groups of the German soil mapping guideline; limits 2, 63 and 2000 um. */
export const german: TextureSystem = {
  id: 'german',
  name: 'German groups',
  source: 'Soil mapping guideline, 5th edition',
  limitsUm: [2, 63, 2000],
  classes,
  indexByRules,
  // Without sand only bounds of clay are met; they belong to the group above.
  owns: { towards: { sand: -3, silt: 1, clay: 2 }, atNoSand: { sand: 0, silt: -1, clay: 1 } }
};
