import type { LayerTops, LineName } from '../layers/layers.ts';

/** Lines as one person read them: heights and their errors, mm. */
export type ReadLines = { tops: LayerTops; sigmas: Partial<Record<LineName, number>> };

/**
 * Two people's readings of one jar as one: of a line that both read the mean. Its error is that of a mean of two, and
 * what they differ by beside it: half the difference is the standard error of a mean of two readings.
 *
 * @returns lines that either of them read, with an error for each
 * @example pairLines({ tops: { sand: 20 }, sigmas: { sand: 0.5 } }, { tops: { sand: 21 }, sigmas: { sand: 0.5 } })
 *   // sand 20.5, error sqrt(0.5^2 / 2 + 0.5^2) = 0.61
 */
export function pairLines(first: ReadLines, second: ReadLines): ReadLines {
  const out: ReadLines = {
    tops: { ...second.tops, ...first.tops },
    sigmas: { ...second.sigmas, ...first.sigmas }
  };
  for (const name of Object.keys(out.tops) as LineName[]) {
    const [a, b] = [first.tops[name], second.tops[name]];
    if (a === undefined || b === undefined) continue;
    const [s, u] = [first.sigmas[name] ?? 0, second.sigmas[name] ?? 0];
    out.tops[name] = (a + b) / 2;
    out.sigmas[name] = Math.hypot(s / 2, u / 2, (a - b) / 2);
  }
  return out;
}
