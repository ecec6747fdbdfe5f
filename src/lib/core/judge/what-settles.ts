import { DEFAULT_SEED, normalStream } from '../certainty/draws.ts';
import { UNKNOWNS } from '../estimate/unknowns.ts';
import { weightsOf } from '../estimate/weights.ts';
import type { EstimateInput, JarEstimate } from '../estimate/estimate-jar.ts';
import { lookAhead, sharesOfJars, stepsAfter } from '../estimate/help.ts';
import { figuresAt } from './behaviour.ts';
import { groundDraws, HOLE_LN_SD } from './holes-together.ts';
import { holdsFor, type Asked } from './asked.ts';
import { isOpen } from './open.ts';
import { RIBBON_SD } from './ribbon.ts';
import { isWithin, judgeProfile } from './profile.ts';
import { soilDraws } from './soil-draws.ts';

/** What could be done next to be surer of a verdict, cheapest first. */
export const SETTLING = [
  'note-water',
  'ribbon',
  'read-again',
  'hole',
  'second-jar',
  'weighed-jar',
  'hydrometer',
  'laboratory'
] as const;
export type SettlingId = (typeof SETTLING)[number];

/** Those that look at the jar itself again. */
type JarStep = 'note-water' | 'read-again';

/**
 * How well each shows sand and clay, points (standard error). A ribbon says nothing of the sand. The jars as this product's
 * own figures of truth have them; hydrometer and laboratory by their usual repeatability; set by hand.
 */
const SHOWS: Record<Exclude<SettlingId, 'hole' | JarStep>, { sand: number; clay: number }> = {
  ribbon: { sand: Infinity, clay: RIBBON_SD },
  'second-jar': { sand: 5, clay: 8 },
  'weighed-jar': { sand: 4, clay: 6 },
  hydrometer: { sand: 3, clay: 3 },
  laboratory: { sand: 2, clay: 2 }
};

/**
 * Two jars of one soil, read the same way, part by so much in their heights, points; set by hand. Nothing else shows heights.
 */
const SECOND_JAR_HEIGHTS = { sand: 4, clay: 4 };

/** How well a step shows what a verdict goes by; undefined where it says nothing of it. */
function showsOf(id: Exclude<SettlingId, 'hole' | JarStep>, asked: Asked) {
  const onHeights = asked.ask === 'wall' && asked.technique.on === 'heights';
  if (!onHeights) return SHOWS[id];
  return id === 'second-jar' ? SECOND_JAR_HEIGHTS : undefined;
}

type Say = (truth: number, logs: Float64Array) => void;

/** What a jar, an instrument or a laboratory would show of one soil, weighed against all. */
function byShares({ shares }: Pick<ToSettle, 'shares'>, { sand, clay }: { sand: number; clay: number }): Say {
  // Another stream than the draws of the soil come from.
  const normal = normalStream(DEFAULT_SEED + 2);
  return (truth, logs) => {
    const [offSand, offClay] = [normal(), normal()];
    for (let i = 0; i < logs.length; i++)
      logs[i] =
        -0.5 *
        (((shares[3 * i] - shares[3 * truth]) / sand - offSand) ** 2 +
          ((shares[3 * i + 2] - shares[3 * truth + 2]) / clay - offClay) ** 2);
  };
}

/**
 * How sure a bed would be after a drainage hole: it rules over what texture says of the drainage, and says nothing of the rest.
 *
 * @returns undefined where drainage is not asked for, or a hole says it already
 */
function afterHole({ shares, asked }: ToSettle): number | undefined {
  if (asked.ask !== 'bed' || asked.ground) return undefined;
  const { profile, organic } = asked;
  const [others, drains] = [false, true].map((of) =>
    profile.windows.filter((w) => (w.of === 'drains') === of)
  );
  if (drains.length === 0) return undefined;
  const draws = soilDraws(shares, organic);
  const count = draws.organic.length;
  const rest = others.length === 0 ? 1 : judgeProfile({ ...profile, windows: others }, draws).chance;
  const normal = normalStream(DEFAULT_SEED + 2);
  const truths = Math.min(TRUTHS, count);
  let then = 0;
  for (let k = 0; k < truths; k++) {
    const truth = figuresAt(draws, Math.floor((k * count) / truths)).drains;
    const seen = truth * Math.exp(HOLE_LN_SD * normal());
    const could = groundDraws({ mmH: seen, atMost: false, lnSd: HOLE_LN_SD, holes: 1 }, HOLE_DRAWS);
    then +=
      sure(rest * (could.filter((mmH) => drains.every((w) => isWithin(w, mmH))).length / HOLE_DRAWS)) /
      truths;
  }
  return then;
}

/** So many draws are taken for the truth in turn. */
const TRUTHS = 120;
/** So many conductivities are drawn for a hole, and so many jars that could be this one are looked at. */
const HOLE_DRAWS = 60;
const JARS = 500;
/** Nobody keeps a jar standing for longer, s. */
const STANDS_S = 10 * 86_400;
/** A step that adds less than this to how sure it is helps nobody. */
const LEAST_GAIN = 0.02;
const MOST_STEPS = 3;

/** How sure a verdict is, either way. */
const sure = (p: number) => Math.max(p, 1 - p);

/** A step, and how sure the verdict is expected to be after it; when the jar is to be read, s after set-down. */
export type SettlingStep = { id: SettlingId; now: number; then: number; atS?: number };

/** A soil whose verdict is to be settled: what is asked of it, and what there is of it. */
export type ToSettle = {
  /** Sand, silt and clay of soils that could be this one, percent. */
  shares: Float64Array;
  asked: Asked;
  /** Steps that say nothing of it, as a ribbon of a soil that is not in hand. */
  without?: readonly SettlingId[];
};

const chanceOf = (holds: Uint8Array) => holds.reduce((a, b) => a + b, 0) / holds.length;

/** What each step but those of the jar itself would bring. */
function stepsOutside(o: ToSettle, holds: Uint8Array): SettlingStep[] {
  const { without = [] } = o;
  const count = holds.length;
  const now = sure(chanceOf(holds));
  const logs = new Float64Array(count);
  return SETTLING.flatMap((id): SettlingStep[] => {
    if (id === 'note-water' || id === 'read-again' || without.includes(id)) return [];
    if (id === 'hole') {
      const then = afterHole(o);
      return then === undefined ? [] : [{ id, now, then: Math.max(now, then) }];
    }
    const shows = showsOf(id, o.asked);
    if (!shows) return [];
    const say = byShares(o, shows);
    let then = 0;
    const truths = Math.min(TRUTHS, count);
    for (let k = 0; k < truths; k++) {
      say(Math.floor((k * count) / truths), logs);
      const weights = weightsOf(logs, 1);
      let p = 0;
      for (let i = 0; i < count; i++) if (holds[i]) p += weights[i];
      then += sure(p) / truths;
    }
    return [{ id, now, then: Math.max(now, then) }];
  });
}

/** Of steps those that help, cheapest first, at most three: a dearer one only where it says more than those before it. */
function cheapest(steps: readonly SettlingStep[]): SettlingStep[] {
  const helps = steps
    .filter((s) => s.then - s.now >= LEAST_GAIN)
    .sort((a, b) => SETTLING.indexOf(a.id) - SETTLING.indexOf(b.id));
  return helps
    .filter((s, i) => helps.slice(0, i).every((e) => s.then - e.then >= LEAST_GAIN))
    .slice(0, MOST_STEPS);
}

/**
 * What would settle a verdict: of the draws some are taken for the truth in turn, what each step would show of them is
 * drawn, and all are weighed by it (expected value of information; Raiffa & Schlaifer 1961).
 *
 * @returns at most three that help, cheapest first; none where it stands outside 20 to 80 %
 */
export function whatSettles(o: ToSettle): SettlingStep[] {
  const holds = holdsFor(o.shares, o.asked);
  return isOpen(chanceOf(holds)) ? cheapest(stepsOutside(o, holds)) : [];
}

/**
 * The same, with what the jar itself would show: noting its water, and reading its top again later.
 *
 * @param jar what is known of the jar, and the estimate that it makes: jars that could be it are wanted
 * @param ageS so long ago it was set down, s
 */
export function whatSettlesOfJar(
  o: ToSettle,
  jar: EstimateInput & Pick<JarEstimate, 'could'>,
  ageS: number
): SettlingStep[] {
  const { shares, asked } = o;
  const holds = holdsFor(shares, asked);
  const chance = chanceOf(holds);
  if (!isOpen(chance)) return [];
  const now = sure(chance);
  // They are in no order: the first of them are as good as any.
  const could = jar.could.subarray(0, JARS * UNKNOWNS);
  const { topMm, steps } = stepsAfter(jar.evidence);
  const looks = steps.flatMap((step) => {
    if (step.kind === 'bands') return [];
    if (step.kind === 'water') return [step];
    // What stood so long ago has been poured out.
    return ageS > STANDS_S ? [] : [{ ...step, atS: Math.max(step.atS, ageS) }];
  });
  const ahead = lookAhead({ ...jar, could, topMm, steps: looks }, holdsFor(sharesOfJars({ could }), asked));
  const ofJar = looks.map(({ kind, atS }, i): SettlingStep => ({
    id: kind === 'water' ? 'note-water' : 'read-again',
    now,
    then: Math.min(1, now + Math.max(0, ahead.then[i] - ahead.now)),
    ...(kind === 'water' ? {} : { atS })
  }));
  return cheapest([...ofJar, ...stepsOutside(o, holds)]);
}
