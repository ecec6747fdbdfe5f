import { formatDuration, formatTapeTime, type ReadingDoubt } from '../core/index.ts';
import { cutText } from './steps.ts';
import { t } from './index.ts';

/** A doubt of a reading, in a sentence. */
export function doubtText(doubt: ReadingDoubt): string {
  if (doubt.kind === 'mark-size') {
    return t.doubt.markSize(
      t.layer[doubt.layer],
      formatTapeTime(doubt.timeS),
      cutText(doubt.cutUm),
      cutText(doubt.askedUm)
    );
  }
  const range = (part: 'sand' | 'silt' | 'clay') => {
    const { low, high } = doubt.shares[part];
    return t.doubt.range(t.layer[part], Math.round(low), Math.round(high));
  };
  return t.doubt.tooSoon(
    formatDuration(doubt.readS),
    formatDuration(doubt.siltDoneS),
    `${range('sand')}, ${range('silt')}, ${range('clay')}`
  );
}
