import type { Fractions } from '../core/index.ts';
import { wholeShares } from './headline.ts';
import { t } from './index.ts';

/** What jars of one soil by one method say of each other (see `workbench/replicates`), in a sentence. */
export function replicateText({
  codes,
  mean,
  spread,
  apart
}: {
  codes: readonly string[];
  mean: Fractions;
  spread: number;
  apart: { codes: [string, string]; part: keyof Fractions; points: number } | null;
}): string {
  if (apart) return t.sample.replicatesDiffer(apart.codes, t.layer[apart.part], Math.round(apart.points));
  const { sand, silt, clay } = wholeShares(mean);
  return t.sample.replicatesAgree(codes.join(', '), sand, silt, clay, Math.max(1, Math.round(spread)));
}
