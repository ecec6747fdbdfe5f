import { RangeProblem } from '../errors.ts';
import type { Figures } from './figures.ts';
import { OPEN } from './open.ts';
import { checkRibbon, RIBBON_MM, ribbonClay } from './ribbon.ts';
import {
  blockStrength,
  chanceStronger,
  chanceToHold,
  pressProblems,
  strengthsOf,
  type Strengths
} from './strength.ts';
import { cures, isSoaked, type TrialPlan } from './trial.ts';

/** What became of a ball that was dropped from 1.5 m on to hard ground. */
export const DROPS = ['whole', 'few', 'crumbles'] as const;
export type Drop = (typeof DROPS)[number];
/** What a block looks like after the soak. */
export const SOAK_LOOKS = ['keeps', 'softens', 'falls'] as const;
export type SoakLook = (typeof SOAK_LOOKS)[number];

/** What was seen of a piece. Lengths in mm, masses in g, the gauge in MPa; what nobody measured is left out. */
export type PieceSeen = {
  drop?: Drop;
  /** Length of the ribbon, or of the dry piece out of the box. */
  lengthMm?: number;
  cracked?: boolean;
  /** Sides of a block; the load stands on the first two. */
  sidesMm?: readonly [number, number, number];
  massG?: number;
  /** After the soak. */
  wetMassG?: number;
  gaugeMpa?: number;
  look?: SoakLook;
};

/** A piece of a set. @param no from 1 up */
export type Piece = { no: number; seen: PieceSeen };

const SIDE_MM = { least: 10, most: 1000 };
const MOST_G = 100_000;
/** No earth and no mix is denser than its grains, or lighter than this, kg/m3. */
const DENSITY = { least: 800, most: 2800 };

/** What no piece of a set can show, a sentence a field of {@link PieceSeen}; empty where it can. */
export function pieceProblems(plan: TrialPlan, { no, seen }: Piece): RangeProblem[] {
  const out: RangeProblem[] = [];
  const check = (ok: boolean, field: string, message: string) => {
    if (!ok) out.push(new RangeProblem(field, message));
  };
  const soaked = isSoaked(plan, no);
  check(Number.isInteger(no) && no >= 1 && no <= plan.count, 'no', `This set has ${plan.count} pieces.`);
  const { drop, lengthMm, sidesMm, massG, wetMassG, gaugeMpa, look } = seen;
  if (plan.kind === 'ball') check(drop !== undefined, 'drop', 'Say what became of the ball.');
  if (plan.kind === 'ribbon')
    try {
      checkRibbon(lengthMm ?? NaN);
    } catch (problem) {
      if (!(problem instanceof RangeProblem)) throw problem;
      check(false, 'lengthMm', problem.message);
    }
  if (plan.kind === 'box') {
    const box = plan.boxMm ?? 0;
    check(
      lengthMm !== undefined && lengthMm > box / 2 && lengthMm <= box,
      'lengthMm',
      `Measure the dry piece: it is no longer than its box of ${box} mm, and over half of it.`
    );
  }
  if (plan.kind !== 'block') return out;
  check(
    sidesMm?.every((mm) => mm >= SIDE_MM.least && mm <= SIDE_MM.most) ?? true,
    'sidesMm',
    `Give length, width and height, each from ${SIDE_MM.least} mm to ${SIDE_MM.most / 1000} m.`
  );
  check(
    massG === undefined || (massG > 0 && massG <= MOST_G),
    'massG',
    'Give its dry mass, above 0 and up to 100 kg.'
  );
  check(
    wetMassG === undefined || (soaked && wetMassG > 0 && wetMassG <= 2 * MOST_G),
    'wetMassG',
    soaked ? 'Give its mass after the soak, above 0.' : 'This one is crushed dry: it has no wet mass.'
  );
  check(
    massG === undefined || wetMassG === undefined || wetMassG >= massG || look !== 'keeps',
    'wetMassG',
    'A block that kept its shape weighs no less wet than dry.'
  );
  const density = densityOf(seen);
  check(
    density === undefined || (density >= DENSITY.least && density <= DENSITY.most),
    'massG',
    `That makes ${density?.toFixed(0)} kg/m³: earth has ${DENSITY.least} to ${DENSITY.most}. Look at mass and sides again.`
  );
  check(!soaked || look !== undefined, 'look', 'Say what it looks like after the soak.');
  check(
    gaugeMpa !== undefined || (soaked && look === 'falls'),
    'gaugeMpa',
    'Give what the gauge showed as it broke.'
  );
  if (gaugeMpa !== undefined && look !== 'falls') {
    const areaMm2 = loadedArea(plan, seen);
    for (const { field, message } of pressProblems({ gaugeMpa })) check(false, field, message);
    check(plan.pistonMm !== null, 'gaugeMpa', 'Give the piston of the press with the set first.');
    check(areaMm2 !== undefined, 'sidesMm', 'Give its sides, or the loaded area with the set.');
  }
  return out;
}

/** Area that a press loads, mm2: as it was given with the set, or the first two sides of the block; undefined where neither is known. */
export const loadedArea = (
  { areaMm2 }: Pick<TrialPlan, 'areaMm2'>,
  { sidesMm }: PieceSeen
): number | undefined => areaMm2 ?? (sidesMm && sidesMm[0] * sidesMm[1]);

/** Dry density of a block, kg/m3; undefined where it was not measured. */
function densityOf({ sidesMm, massG }: PieceSeen): number | undefined {
  return sidesMm && massG !== undefined ? (1e6 * massG) / (sidesMm[0] * sidesMm[1] * sidesMm[2]) : undefined;
}

/** What a piece comes to; what cannot be known is left out. */
export type PieceTells = {
  forceKn?: number;
  areaMm2?: number;
  strengthMpa?: number;
  densityKgM3?: number;
  /** Water taken up in the soak, percent of the dry mass. */
  takesUpPct?: number;
  /** Shorter by so much when dry, percent of the box. */
  shrinksPct?: number;
};

/** @throws {RangeProblem} as {@link pieceProblems} */
export function pieceTells(plan: TrialPlan, piece: Piece): PieceTells {
  const [problem] = pieceProblems(plan, piece);
  if (problem) throw problem;
  const { seen } = piece;
  if (plan.kind === 'box') return { shrinksPct: 100 * (1 - (seen.lengthMm ?? 0) / (plan.boxMm ?? 1)) };
  if (plan.kind !== 'block') return {};
  const density = densityOf(seen);
  const { massG, wetMassG } = seen;
  const areaMm2 = loadedArea(plan, seen);
  const pressed =
    seen.look === 'falls'
      ? { forceKn: 0, strengthMpa: 0 }
      : seen.gaugeMpa !== undefined && plan.pistonMm !== null && areaMm2 !== undefined
        ? { areaMm2, ...blockStrength({ gaugeMpa: seen.gaugeMpa, pistonMm: plan.pistonMm, areaMm2 }) }
        : {};
  return {
    ...pressed,
    ...(density === undefined ? {} : { densityKgM3: density }),
    ...(massG !== undefined && wetMassG !== undefined && seen.look !== 'falls'
      ? { takesUpPct: 100 * (wetMassG / massG - 1) }
      : {})
  };
}

/** What a set comes to. */
export type TrialTells = {
  /** MPa. */
  dry?: Strengths;
  wet?: Strengths;
  /** Mean wet over mean dry. */
  ratio?: number;
  /** How many of those that were soaked fell apart. */
  fell: number;
  densityKgM3?: number;
  /** Mean and most, percent; whether any cracked. */
  shrinks?: { mean: number; most: number; cracked: boolean };
  /** Mean length, mm, and the clay that it says, percent. */
  ribbon?: { mm: number; clay: number };
  drops?: Record<Drop, number>;
  says?: TrialSays;
};

/**
 * What it means. Blocks: `stabilised` hold the strength of that school after soaking, `typical` and `decent` are dry strengths, and
 * `open` is neither sure nor ruled out; `falls` and `weak-wet` fail wet, `weak` fail dry. Boxes: `shrinks-little`, `shrinks`, `cracks`.
 * Ribbons: `short`, `binds`, `fat`. Balls: as they fell, where most of them agree.
 */
export type TrialSays = {
  kind:
    | ('stabilised' | 'falls' | 'weak-wet' | 'open-wet' | 'typical' | 'decent' | 'open-dry' | 'weak')
    | ('shrinks-little' | 'shrinks' | 'cracks')
    | ('short' | 'binds' | 'fat')
    | Drop
    | 'uneven';
  /** Where it is a matter of chance: that the mean holds what is asked. */
  chance?: number;
};

type Bounds = Pick<
  Figures,
  'blockDryMpa' | 'blockTypicalMpa' | 'blockWetMpa' | 'shrinkGoodPct' | 'shrinkCracksPct'
>;

function blockSays({ dry, wet, fell }: TrialTells, by: Bounds): TrialSays | undefined {
  if (wet) {
    if (fell === wet.count) return { kind: 'falls', chance: 0 };
    const chance = chanceToHold(wet, by.blockWetMpa);
    const kind = chance > OPEN.to ? 'stabilised' : chance < OPEN.from ? 'weak-wet' : 'open-wet';
    return { kind, chance };
  }
  if (!dry) return undefined;
  const chance = chanceToHold(dry, by.blockDryMpa);
  if (chance < OPEN.from) return { kind: 'weak', chance };
  if (chance <= OPEN.to) return { kind: 'open-dry', chance };
  const typical = chanceToHold(dry, by.blockTypicalMpa);
  return typical > OPEN.to ? { kind: 'typical', chance: typical } : { kind: 'decent', chance };
}

function boxSays({ shrinks }: TrialTells, by: Bounds): TrialSays | undefined {
  if (!shrinks) return undefined;
  if (shrinks.cracked || shrinks.mean > by.shrinkCracksPct) return { kind: 'cracks' };
  return { kind: shrinks.mean <= by.shrinkGoodPct ? 'shrinks-little' : 'shrinks' };
}

const meanOf = (values: readonly number[]): number | undefined =>
  values.length === 0 ? undefined : values.reduce((a, b) => a + b, 0) / values.length;

/** What a set comes to by the pieces that have told; those that cannot be are left out. */
export function trialTells(plan: TrialPlan, pieces: readonly Piece[], by: Bounds): TrialTells {
  const good = pieces.filter((piece) => pieceProblems(plan, piece).length === 0);
  const told = good.map((piece) => ({ ...piece, tells: pieceTells(plan, piece) }));
  const strengths = (soaked: boolean) =>
    strengthsOf(
      told.flatMap(({ no, tells }) =>
        tells.strengthMpa !== undefined && isSoaked(plan, no) === soaked ? [tells.strengthMpa] : []
      )
    );
  const [dry, wet] = [strengths(false), strengths(true)];
  const density = meanOf(told.flatMap(({ tells }) => tells.densityKgM3 ?? []));
  const shrinks = told.flatMap(({ tells }) => tells.shrinksPct ?? []);
  const lengths = plan.kind === 'ribbon' ? told.flatMap(({ seen }) => seen.lengthMm ?? []) : [];
  const ribbonMm = meanOf(lengths);
  const tells: TrialTells = {
    ...(dry ? { dry } : {}),
    ...(wet ? { wet } : {}),
    ...(dry && wet && dry.mean > 0 ? { ratio: wet.mean / dry.mean } : {}),
    fell: told.filter(({ seen }) => seen.look === 'falls').length,
    ...(density === undefined ? {} : { densityKgM3: density }),
    ...(shrinks.length > 0
      ? {
          shrinks: {
            mean: meanOf(shrinks) ?? 0,
            most: Math.max(...shrinks),
            cracked: told.some(({ seen }) => seen.cracked === true)
          }
        }
      : {}),
    ...(ribbonMm === undefined ? {} : { ribbon: { mm: ribbonMm, clay: ribbonClay(ribbonMm) } }),
    ...(plan.kind === 'ball' && told.length > 0
      ? {
          drops: Object.fromEntries(
            DROPS.map((drop) => [drop, told.filter(({ seen }) => seen.drop === drop).length])
          ) as Record<Drop, number>
        }
      : {})
  };
  const says = saysOf(plan, tells, told.length, by);
  return { ...tells, ...(says ? { says } : {}) };
}

function saysOf(plan: TrialPlan, tells: TrialTells, count: number, by: Bounds): TrialSays | undefined {
  if (cures(plan.kind)) return plan.kind === 'box' ? boxSays(tells, by) : blockSays(tells, by);
  const { ribbon, drops } = tells;
  if (ribbon)
    return { kind: ribbon.mm < RIBBON_MM.loam ? 'short' : ribbon.mm > RIBBON_MM.clay ? 'fat' : 'binds' };
  if (!drops) return undefined;
  return { kind: DROPS.find((drop) => drops[drop] > count / 2) ?? 'uneven' };
}

/**
 * How surely blocks of one set are stronger than those of another: by what they hold wet where both were soaked, else dry;
 * undefined where they cannot be set beside each other.
 */
export function strongerBy(a: TrialTells, b: TrialTells): { on: 'wet' | 'dry'; chance: number } | undefined {
  if (a.wet && b.wet) return { on: 'wet', chance: chanceStronger(a.wet, b.wet) };
  return a.dry && b.dry ? { on: 'dry', chance: chanceStronger(a.dry, b.dry) } : undefined;
}
