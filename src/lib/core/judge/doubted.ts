import { DEFAULT_SEED, evenStream, normalStream } from '../certainty/draws.ts';
import type { ReadingDoubt } from '../jar/doubts.ts';
import { put } from './soil-draws.ts';

/** How far a line that is a mark of another size may lie from the top of its layer, points (standard error); set by hand. */
const MARK_SIZE_POINTS = 10;

/**
 * Shares by height with what stands against them: as unsure as the sentence about them says, at least. What was still coming down
 * is drawn evenly up to all that may come, and evenly between silt and clay; a line of another size is moved.
 *
 * @param shares sand, silt and clay of each draw, percent
 * @returns as many draws; the same where nothing stands against them
 */
export function doubtedShares(shares: Float64Array, doubts: readonly ReadingDoubt[]): Float64Array {
  if (doubts.length === 0) return shares;
  const even = evenStream(DEFAULT_SEED + 3);
  const normal = normalStream(DEFAULT_SEED + 4);
  const out = new Float64Array(shares.length);
  for (let i = 0; i < shares.length; i += 3) {
    let [sand, silt, clay] = shares.subarray(i, i + 3);
    for (const doubt of doubts) {
      if (doubt.kind === 'mark-size') {
        const by = MARK_SIZE_POINTS * normal();
        if (doubt.layer === 'sand') [sand, silt] = [sand + by, silt - by];
        else [silt, clay] = [silt + by, clay - by];
      } else {
        // What had settled is the sum of the low ends of all that there may be.
        const least = (doubt.shares.sand.low + doubt.shares.silt.low + doubt.shares.clay.low) / 100;
        const settled = least + (1 - least) * even();
        const coming = 100 * (1 - settled);
        const clayOfIt = even();
        [sand, silt, clay] = [
          sand * settled,
          silt * settled + coming * (1 - clayOfIt),
          clay * settled + coming * clayOfIt
        ];
      }
    }
    put(out, i, sand, clay);
  }
  return out;
}
