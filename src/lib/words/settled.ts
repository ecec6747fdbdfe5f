import type { SettledAnswer } from '../core/index.ts';
import type { Format } from './format.ts';
import { t } from './index.ts';

/**
 * What is said of a jar that may be settled: of its silt, and of the top of the sediment.
 *
 * @param o.setDownAt ms since 1970, as `now` is
 */
export function settledTexts(
  settled: SettledAnswer,
  o: { setDownAt: number; now: number; format: Format }
): { silt: string; top: string } {
  const at = (seconds: number) => o.format.when(o.setDownAt + seconds * 1000, o.now);
  const siltDone = o.setDownAt + settled.siltDoneS * 1000 <= o.now;
  const { top } = settled;
  const silt = t.settled.silt(at(settled.siltDoneS), siltDone);
  if (top.kind === 'few') return { silt, top: t.settled.few(top.missing) };
  if (top.kind === 'unsure') return { silt, top: t.settled.unsure };
  const left = o.format.length(top.leftMm, 1);
  // A top that stands still tells little while silt is on its way down.
  if (top.kind === 'still' && !siltDone) return { silt, top: t.settled.hardly(at(settled.siltDoneS)) };
  if (top.kind === 'still') return { silt, top: t.settled.still(left) };
  return { silt, top: t.settled.moving(at(settled.readableAtS ?? top.stillAtS), left) };
}
