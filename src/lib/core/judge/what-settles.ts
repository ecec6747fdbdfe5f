import { DEFAULT_SEED, normalStream } from '../certainty/draws.ts';
import { weightsOf } from '../estimate/weights.ts';
import { figuresAt } from './behaviour.ts';
import { HOLE_LN_SD } from './holes-together.ts';
import type { SoilDraws } from './soil-draws.ts';

/** What could be done next to be surer of a verdict, cheapest first. */
export const SETTLING = ['hole', 'second-jar', 'weighed-jar', 'hydrometer', 'laboratory'] as const;
export type SettlingId = (typeof SETTLING)[number];

/**
 * How well each shows sand and clay, points (standard error). The jars as this product's own figures of truth have
 * them; hydrometer and laboratory by their usual repeatability; set by hand.
 */
const SHOWS: Record<Exclude<SettlingId, 'hole'>, { sand: number; clay: number }> = {
  'second-jar': { sand: 5, clay: 8 },
  'weighed-jar': { sand: 4, clay: 6 },
  hydrometer: { sand: 3, clay: 3 },
  laboratory: { sand: 2, clay: 2 }
};

type Say = (truth: number, logs: Float64Array) => void;

/** What a jar, an instrument or a laboratory would show of one soil, weighed against all. */
function byShares({ shares }: SoilDraws, { sand, clay }: { sand: number; clay: number }): Say {
  // Another stream than the draws of the soil come from.
  const normal = normalStream(DEFAULT_SEED + 2);
  return (truth, logs) => {
    const seenSand = shares[3 * truth] + sand * normal();
    const seenClay = shares[3 * truth + 2] + clay * normal();
    for (let i = 0; i < logs.length; i++)
      logs[i] =
        -0.5 * (((shares[3 * i] - seenSand) / sand) ** 2 + ((shares[3 * i + 2] - seenClay) / clay) ** 2);
  };
}

/** What a drainage hole would show: how fast the ground lets water through, which nothing but texture tells so far. */
function byHole(draws: SoilDraws): Say {
  const normal = normalStream(DEFAULT_SEED + 2);
  const rates = Float64Array.from(draws.organic, (_, i) => Math.log(figuresAt(draws, i).drains));
  return (truth, logs) => {
    const seen = rates[truth] + HOLE_LN_SD * normal();
    for (let i = 0; i < logs.length; i++) logs[i] = -0.5 * ((rates[i] - seen) / HOLE_LN_SD) ** 2;
  };
}

/** So many draws are taken for the truth in turn. */
const TRUTHS = 120;
/** A step that adds less than this to how sure it is helps nobody. */
const LEAST_GAIN = 0.02;
const MOST_STEPS = 3;
/** A verdict that stands further from even than this is settled. */
export const OPEN = { from: 0.2, to: 0.8 };

/** How sure a verdict is, either way. */
const sure = (p: number) => Math.max(p, 1 - p);

/** A step, and how sure the verdict is expected to be after it. */
export type SettlingStep = { id: SettlingId; now: number; then: number };

/**
 * What would settle a verdict: of the draws some are taken for the truth in turn, what each step would show of them is
 * drawn, and all are weighed by it (expected value of information; Raiffa & Schlaifer 1961).
 *
 * @param holds whether the verdict holds, draw by draw
 * @returns at most three that help, cheapest first; none where it stands outside 20 to 80 %
 */
export function whatSettles(draws: SoilDraws, holds: Uint8Array): SettlingStep[] {
  const count = draws.organic.length;
  const chance = holds.reduce((a, b) => a + b, 0) / count;
  if (chance < OPEN.from || chance > OPEN.to) return [];
  const now = sure(chance);
  const logs = new Float64Array(count);
  // A hole that was dug says already what another would.
  const steps = SETTLING.filter((id) => id !== 'hole' || !draws.drains).map((id): SettlingStep => {
    const say = id === 'hole' ? byHole(draws) : byShares(draws, SHOWS[id]);
    let then = 0;
    const truths = Math.min(TRUTHS, count);
    for (let k = 0; k < truths; k++) {
      say(Math.floor((k * count) / truths), logs);
      const weights = weightsOf(logs, 1);
      let p = 0;
      for (let i = 0; i < count; i++) if (holds[i]) p += weights[i];
      then += sure(p) / truths;
    }
    return { id, now, then: Math.max(now, then) };
  });
  const helps = steps.filter((s) => s.then - s.now >= LEAST_GAIN);
  // Of all that help: a dearer one only where it says more than those before it.
  return helps
    .filter((s, i) => helps.slice(0, i).every((e) => s.then - e.then >= LEAST_GAIN))
    .slice(0, MOST_STEPS);
}
