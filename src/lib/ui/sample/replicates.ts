import type { Replicates } from '$lib/workbench/replicates';
import { wholeShares } from '$lib/words/headline';
import { t } from '../strings';

/** What jars of one soil by one method say of each other, in a sentence. */
export function replicateText({ codes, mean, spread, apart }: Replicates): string {
  if (apart) return t.sample.replicatesDiffer(apart.codes, t.layer[apart.part], Math.round(apart.points));
  const { sand, silt, clay } = wholeShares(mean);
  return t.sample.replicatesAgree(codes.join(', '), sand, silt, clay, Math.max(1, Math.round(spread)));
}
