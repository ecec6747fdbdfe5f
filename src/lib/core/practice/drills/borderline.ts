import { normalStream, type FractionDraws } from '../../certainty/draws.ts';
import { densityGrid, type DensityGrid } from '../../certainty/region.ts';
import type { Fractions } from '../../physics/bands.ts';
import { classifyTexture, textureSystems } from '../../texture/classify.ts';
import { textureNeighbours } from '../../texture/neighbours.ts';
import { diceOf } from '../dice.ts';
import type { Score } from '../score.ts';

/** A soil with its region on the triangle: one class for sure, or one of two? */
export type BorderlineTask = {
  key: 'borderline';
  level: number;
  seed: number;
  soil: Fractions;
  /** Standard error of each share, points. */
  sd: number;
  /** Classes to choose among, by id, in the order of their names. */
  choices: string[];
  /** One where its chance is four in five, else the two that come first. */
  right: string[];
  chances: { id: string; chance: number }[];
  region: DensityGrid;
};
export type BorderlineGiven = { classes: readonly string[] };

const DRAWS = 3000;
/** One class is called sure from this chance on. */
export const SURE = 0.8;
/** How far the likelier of the two is from that, by level: hard ones lie near it. */
const CLEAR = [0.16, 0.12, 0.08, 0.05, 0.03];

function drawsOf(soil: Fractions, sd: number, seed: number): FractionDraws {
  const normal = normalStream(seed);
  const fractions = new Float64Array(3 * DRAWS);
  let kept = 0;
  for (let i = 0; i < DRAWS; i++) {
    const sand = soil.sand + sd * normal();
    const clay = soil.clay + 0.8 * sd * normal();
    const silt = 100 - sand - clay;
    if (sand < 0 || silt < 0 || clay < 0) continue;
    fractions.set([sand, silt, clay], 3 * kept++);
  }
  return { fractions: fractions.slice(0, 3 * kept), kept, asked: DRAWS };
}

function chancesOf({ fractions, kept }: FractionDraws): { id: string; chance: number }[] {
  const { indexByRules, classes } = textureSystems.usda;
  const counts = new Map<string, number>();
  for (let i = 0; i < kept; i++) {
    const { id } = classes[indexByRules(fractions[3 * i], fractions[3 * i + 1], fractions[3 * i + 2])];
    counts.set(id, (counts.get(id) ?? 0) + 1);
  }
  return [...counts].map(([id, n]) => ({ id, chance: n / kept })).sort((a, b) => b.chance - a.chance);
}

/** Soils are tried until one is as clear as the level asks, and no more than two classes come into question. */
export function borderlineTask(seed: number, level: number): BorderlineTask {
  const dice = diceOf(seed);
  for (;;) {
    const sand = dice.whole(8, 80);
    const clay = dice.whole(6, Math.min(60, 94 - sand));
    const soil = { sand, silt: 100 - sand - clay, clay };
    const sd = dice.whole(20, 45) / 10;
    const draws = drawsOf(soil, sd, seed);
    const chances = chancesOf(draws);
    const [first, second] = chances;
    const clear = Math.abs(first.chance - SURE);
    const two = first.chance + (second?.chance ?? 0) >= 0.9;
    if (!two || clear < CLEAR[level - 1] || clear > CLEAR[level - 1] + 0.12) continue;
    const sure = first.chance >= SURE;
    const near = textureNeighbours('usda', soil).slice(0, 3);
    const ids = new Set([first.id, ...(second ? [second.id] : []), ...near.map((n) => n.id)]);
    return {
      key: 'borderline',
      level,
      seed,
      soil,
      sd,
      choices: textureSystems.usda.classes.filter((c) => ids.has(c.id)).map((c) => c.id),
      right: sure ? [first.id] : [first.id, second.id],
      chances,
      region: densityGrid(draws)
    };
  }
}

/** Classes off: those that were named without being right, and those that were left out. */
export function scoreBorderline({ right, soil }: BorderlineTask, { classes }: BorderlineGiven): Score {
  const named = new Set(classes);
  const wrong = [...named].filter((id) => !right.includes(id)).length;
  const missing = right.filter((id) => !named.has(id)).length;
  const off = { by: Math.max(wrong, missing), unit: 'classes' } as const;
  if (wrong === 0 && missing === 0) return { points: 100, off };
  if (wrong > 0 && right.some((id) => named.has(id)) && missing === 0 && wrong === 1)
    return { points: 50, off, slip: 'too-careful' };
  if (wrong === 0 && named.size > 0) {
    const own = classifyTexture('usda', soil).id;
    return { points: named.has(own) ? 40 : 30, off, slip: 'too-sure' };
  }
  return { points: 0, off, slip: 'another-class' };
}
