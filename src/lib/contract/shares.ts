import { fractionsFromGiven, known, RangeProblem, type Fractions } from '../core/index.ts';
import type { Figures, ReadingEntry } from './records/reading.ts';

const SHARES = ['sand', 'silt', 'clay'] as const;
type Share = (typeof SHARES)[number];

/** Error of a share that an eye gives, points: one in twenty. */
export const EYE_SHARE_POINTS = 5;
/** Shares are kept as lines of a deposit this high, mm. */
const WHOLE_MM = 100;

/**
 * Shares that are no heights, as the reading that keeps them: two or three of them, or sand or clay alone.
 *
 * @param given percent
 * @param texts what was typed of each, kept beside its line
 * @returns the entry, and which share follows from the others
 * @throws {RangeProblem} on the share that is wrong; on `silt` where it stands alone, which is no share of a jar
 */
export function sharesEntry(
  given: Partial<Fractions>,
  figures: Figures,
  texts: Partial<Record<Share, string>> = {}
): { entry: ReadingEntry; follows?: { layer: Share; pct: number } } {
  const named = SHARES.filter((layer) => given[layer] !== undefined);
  const base: ReadingEntry = { ruler: 'eye', figures, rulerSigmaMm: EYE_SHARE_POINTS, lines: {} };
  const line = (mm: number, layer?: Share) => ({ mm, text: layer ? (texts[layer]?.trim() ?? '') : '' });
  if (named.length === 1) {
    const [layer] = named;
    if (layer === 'silt') {
      throw new RangeProblem(
        'silt',
        'Silt alone says neither how much sand nor how much clay there is. Give one of them too.'
      );
    }
    const share = known(given[layer], 'only layers that were given are named');
    const lines: ReadingEntry['lines'] =
      layer === 'sand' ? { sand: line(share, 'sand') } : { silt: line(WHOLE_MM - share) };
    return { entry: { ...base, lines, measuredTotal: line(WHOLE_MM) } };
  }
  const f = fractionsFromGiven(given);
  const lines = {
    sand: line(f.sand, 'sand'),
    silt: line(f.sand + f.silt, 'silt'),
    clay: line(WHOLE_MM, 'clay')
  };
  const missing = SHARES.find((layer) => given[layer] === undefined);
  return { entry: { ...base, lines }, ...(missing ? { follows: { layer: missing, pct: f[missing] } } : {}) };
}

/** A jar without a line, clay up to the top: there is nothing to type, and one thing to say. */
export const smearedEntry = (): ReadingEntry => ({
  ruler: 'eye',
  figures: 'smeared',
  rulerSigmaMm: EYE_SHARE_POINTS,
  lines: {}
});
