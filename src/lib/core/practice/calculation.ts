import type { Fractions } from '../physics/bands.ts';
import { readSum, type Side, type SumLine } from './sums.ts';

/** What was measured, in the unit in which it is worked with: thicknesses, and what stands beside them. None is 0. */
export type Measured = {
  sand: number;
  silt: number;
  clay: number;
  gravel?: number;
  organics?: number;
  water?: number;
  jar?: number;
};

/** What slipped in a line. */
export type SumSlip =
  | 'arithmetic'
  | 'with-gravel'
  | 'with-organics'
  | 'layer-left-out'
  | 'over-water'
  | 'over-glass'
  | 'over-another'
  | 'upside-down'
  | 'top-for-thickness'
  | 'strange-number'
  | 'another-share';

/** A line as it was checked. `carried`: right in itself, but it goes on with what slipped before. */
export type CheckedLine = {
  text: string;
  verdict: 'right' | 'slip' | 'carried' | 'unread';
  slip?: SumSlip;
  /** What should stand there. */
  should?: number;
  /** The share that the line ends in, where it ends in one. */
  share?: { part: keyof Fractions; pct: number };
};

/** What points went for: a share that is not there or wrong, lines that slipped, or fewer lines than a share each. */
export type LostPoints = { points: number } & (
  { why: 'share-missing' | 'share-wrong'; part: keyof Fractions } | { why: 'slipped' | 'few-lines' }
);

/** A calculation as it was checked. */
export type CheckedCalculation = {
  lines: CheckedLine[];
  /** Shares that were found in it, percent. */
  shares: Partial<Fractions>;
  right: boolean;
  /** 0 to 100. */
  points: number;
  /** What the points that are missing to 100 went for; they add up to them. */
  lost: LostPoints[];
};

const PARTS = ['sand', 'silt', 'clay'] as const;
/** Rounded shares may be off by so much, points. */
const FAIR_POINTS = 0.6;
const alike = (a: number, b: number, within = 0) =>
  Math.abs(a - b) <= within + 1e-6 * Math.max(1, Math.abs(a), Math.abs(b));

/** Several shares on one line: each is a line of its own. */
const ONE_EACH = /[,;]\s+(?=(?:and\s+)?(?:sand|silt|clay)\b)/i;

/** What the checker keeps from line to line. */
type Known = {
  measured: Measured;
  total: number;
  tops: Partial<Fractions>;
  /** Totals that slipped, and numbers that came out of earlier lines. */
  slipped: number[];
  /** Shares that were worked out so far: of two layers alike the next is the other. */
  found: Set<keyof Fractions>;
  came: { value: number; rounding: number }[];
  /** A share that was left as a part of one, 0.5, until a line makes it percent. */
  ofOne?: { part: keyof Fractions; value: number };
};

function topsOf({ gravel = 0, sand, silt, clay }: Measured): Fractions {
  return { sand: gravel + sand, silt: gravel + sand + silt, clay: gravel + sand + silt + clay };
}

/** What slipped in adding up the layers, where it is a total that is added up. */
function totalSlip(added: readonly number[], sum: number, { measured, total }: Known): SumSlip | undefined {
  const { gravel = 0, organics = 0, water = 0 } = measured;
  if (alike(sum, total) || added.length < 2) return undefined;
  if (gravel > 0 && alike(sum, total + gravel)) return 'with-gravel';
  if (organics > 0 && alike(sum, total + organics)) return 'with-organics';
  return water > 0 && added.some((one) => alike(one, water)) ? 'over-water' : undefined;
}

/** Which share is worked out by a division, and what slipped in it. */
function divisionSlip(
  { over, under }: { over: number; under: number },
  known: Known
): { part?: keyof Fractions; slip?: SumSlip; carried?: boolean } {
  const { measured, total, tops, slipped } = known;
  const { gravel = 0, organics = 0, water = 0, jar = 0 } = measured;
  const parts = PARTS.filter((one) => alike(over, measured[one]));
  const part = parts.find((one) => !known.found.has(one)) ?? parts[0];
  const whole = (value: number) => alike(under, value);
  if (whole(total)) {
    if (part) return { part };
    const top = PARTS.find((one) => alike(over, tops[one] ?? NaN));
    return top ? { part: top, slip: 'top-for-thickness' } : {};
  }
  if (slipped.some(whole)) return { part, carried: true };
  if (part === undefined && PARTS.some((one) => whole(measured[one])) && alike(over, total))
    return { slip: 'upside-down' };
  if (part === undefined) return {};
  if (water > 0 && whole(water)) return { part, slip: 'over-water' };
  if (jar > 0 && whole(jar)) return { part, slip: 'over-glass' };
  if (gravel > 0 && whole(total + gravel)) return { part, slip: 'with-gravel' };
  if (organics > 0 && whole(total + organics)) return { part, slip: 'with-organics' };
  // Layers may be added one by one: that one is missing shows where it is divided by them.
  if (PARTS.some((one) => whole(total - measured[one]))) return { part, slip: 'layer-left-out' };
  return under === 100 ? {} : { part, slip: 'over-another' };
}

/** Whether one side comes to what the next says: as it is, or a hundredfold where it goes on in percent. */
function comesTo(a: Side, b: Side): boolean {
  const within = b.rounding * 1.05 + Math.abs(b.value) * 0.0015;
  return (
    alike(a.value, b.value, within) ||
    alike(100 * a.value, b.value, b.rounding * 1.05 + Math.abs(b.value) * 0.006)
  );
}

function strange(side: Side, known: Known): boolean {
  const { measured, total, tops, slipped, came } = known;
  const all = [
    ...Object.values(measured),
    total,
    ...Object.values(tops),
    ...slipped,
    ...[100, 1, 2, 3, 4, 8, 16]
  ];
  return side.numbers.some(
    (n) =>
      !all.some((value) => value !== undefined && alike(value, n)) &&
      !came.some(
        ({ value, rounding }) => alike(value, n, rounding) || alike(100 * value, n, 100 * rounding + 0.6)
      )
  );
}

function partNamed(label: string): keyof Fractions | undefined {
  return PARTS.find((part) => label.includes(part));
}

function checkLine(text: string, sum: SumLine, known: Known): CheckedLine {
  const first = sum.sides[0];
  const last = sum.sides[sum.sides.length - 1];
  let part = partNamed(sum.label);
  let slip: SumSlip | undefined;
  let carried = false;
  let should: number | undefined;
  for (const side of sum.sides) {
    const added = side.added && totalSlip(side.added, side.value, known);
    if (added) {
      slip ??= added;
      should ??= known.total;
      known.slipped.push(side.value, last.value);
    }
    for (const division of side.divisions) {
      const found = divisionSlip(division, known);
      part ??= found.part;
      carried ||= found.carried === true;
      if (found.slip) {
        slip ??= found.slip;
        should ??= found.part && (100 * known.measured[found.part]) / known.total;
        // The same wrong total in the lines after it is one slip.
        if (!alike(division.under, known.total)) known.slipped.push(division.under);
      }
    }
  }
  for (let i = 1; i < sum.sides.length && !slip; i++) {
    if (comesTo(sum.sides[i - 1], sum.sides[i])) continue;
    slip = 'arithmetic';
    should = sum.sides[i - 1].value;
    known.slipped.push(sum.sides[i].value);
  }
  if (!slip && sum.sides.length > 1 && strange(first, known)) slip = 'strange-number';
  for (const side of sum.sides) known.came.push({ value: side.value, rounding: side.rounding });
  const worked =
    sum.sides.some((side) => side.divisions.length > 0) ||
    last.percent ||
    sum.label !== '' ||
    known.ofOne !== undefined;
  const pct =
    last.value <= 1 && !last.percent && part && sum.sides.some((s) => s.divisions.length > 0)
      ? undefined
      : last.value;
  if (part && pct === undefined) known.ofOne = { part, value: last.value };
  const { ofOne } = known;
  if (!part && ofOne && alike(last.value, 100 * ofOne.value, FAIR_POINTS)) part = ofOne.part;
  const share = part && worked && pct !== undefined ? { part, pct } : undefined;
  return {
    text,
    verdict: slip ? 'slip' : carried ? 'carried' : 'right',
    ...(slip ? { slip } : {}),
    ...(slip && should !== undefined ? { should } : {}),
    ...(share ? { share } : {})
  };
}

/**
 * Checks a calculation of three shares by height that somebody typed, line by line, and says which step slipped. What goes on
 * rightly with a wrong number is told from what is wrong in itself.
 *
 * @param measured as it was told
 * @param text a line a step, such as `20 + 15 + 5 = 40` and `sand: 20 / 40 x 100 = 50 %`
 * @example checkCalculation({ sand: 20, silt: 15, clay: 5, water: 120 }, '20 / 120 = 17 %').lines[0].slip // 'over-water'
 */
export function checkCalculation(measured: Measured, text: string): CheckedCalculation {
  const total = measured.sand + measured.silt + measured.clay;
  const known: Known = { measured, total, tops: topsOf(measured), slipped: [], found: new Set(), came: [] };
  const inFractions = Object.values(measured).some((one) => !Number.isInteger(one));
  const lines: CheckedLine[] = [];
  const shares: Partial<Fractions> = {};
  const all = text.split('\n').flatMap((line) => line.split(ONE_EACH));
  for (const line of all.filter((one) => one.trim() !== '')) {
    const sum = readSum(line, inFractions);
    if (!sum) {
      lines.push({ text: line, verdict: 'unread' });
      continue;
    }
    const checked = checkLine(line, sum, known);
    if (checked.share) {
      const { part, pct } = checked.share;
      const truth = (100 * measured[part]) / total;
      shares[part] = pct;
      known.found.add(part);
      if (checked.verdict === 'right' && !alike(pct, truth, FAIR_POINTS)) {
        Object.assign(
          checked,
          known.slipped.length > 0
            ? { verdict: 'carried' }
            : { verdict: 'slip', slip: 'another-share', should: truth }
        );
      }
    }
    lines.push(checked);
  }
  const slips = lines.filter((line) => line.verdict === 'slip').length;
  const steps = lines.filter((line) => line.verdict !== 'unread').length;
  const lost = lostFor(measured, { shares, slips, steps });
  const points = 100 - lost.reduce((sum, one) => sum + one.points, 0);
  return { lines, shares, right: lost.length === 0, points, lost };
}

/** Points of each share, and of the way there: set by hand. */
const SHARE_POINTS = 20;
const WAY_POINTS = 40;

function lostFor(
  measured: Measured,
  { shares, slips, steps }: { shares: Partial<Fractions>; slips: number; steps: number }
): LostPoints[] {
  const total = measured.sand + measured.silt + measured.clay;
  const lost = PARTS.flatMap((part): LostPoints[] => {
    const pct = shares[part];
    if (pct === undefined) return [{ points: SHARE_POINTS, why: 'share-missing', part }];
    const near = alike(pct, (100 * measured[part]) / total, FAIR_POINTS);
    return near ? [] : [{ points: SHARE_POINTS, why: 'share-wrong', part }];
  });
  // Three shares that are all right are no fewer for standing on one line.
  if (lost.length === 0 && slips === 0) return [];
  const sound = steps === 0 ? 0 : (steps - slips) / steps;
  const left = WAY_POINTS - Math.round(WAY_POINTS * sound * Math.min(1, steps / PARTS.length));
  const slipped = slips === 0 ? 0 : Math.min(left, Math.round(WAY_POINTS * (1 - sound)));
  if (slipped > 0) lost.push({ points: slipped, why: 'slipped' });
  if (left > slipped) lost.push({ points: left - slipped, why: 'few-lines' });
  return lost;
}
