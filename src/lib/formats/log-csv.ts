import { classifyTexture, outcomeOf } from '../core/index.ts';
import type { LogLine } from '../contract/records/log.ts';
import { csvFile, figureCell, timeCell } from './csv-file.ts';

/**
 * The log as CSV (RFC 4180): one line a test, times in UTC, shares in percent by height, units in the names.
 * `answer_` is by mass from all that is known of a jar, and the class goes by it where it is there; that of the heights stands
 * beside it. An empty cell means: not known. Lines come so many at a time.
 */
export async function* logCsvParts(lists: AsyncIterable<readonly LogLine[]>): AsyncGenerator<string> {
  let header = true;
  for await (const lines of lists) {
    if (lines.length === 0) continue;
    yield csvFile(lines.map(logRow), undefined, header);
    header = false;
  }
}

/** The class of shares by height; empty where there are none, or none that add up. */
const classOf = (read: LogLine['read']): string =>
  (read && outcomeOf(() => classifyTexture('usda', read).name).done) ?? '';

function logRow(l: LogLine) {
  return {
    code: l.code,
    sample: l.sampleName,
    purpose: l.purpose,
    method: l.methodKey,
    method_name: l.methodName,
    status: l.status,
    set_down_utc: timeCell(l.setDownAt),
    finished_utc: timeCell(l.finishedAt),
    water_temp_c: figureCell(l.tempC, 1),
    sand_pct: figureCell(l.read?.sand ?? l.sand, 2),
    silt_pct: figureCell(l.read?.silt ?? l.silt, 2),
    clay_pct: figureCell(l.read?.clay ?? l.clay, 2),
    clay_over_pct: l.clayOver === undefined ? '' : figureCell(l.clayOver, 0),
    answer_sand_pct: figureCell(l.read && l.sand, 2),
    answer_silt_pct: figureCell(l.read && l.silt, 2),
    answer_clay_pct: figureCell(l.read && l.clay, 2),
    gravel_pct: figureCell(l.gravelPct, 2),
    class_usda: l.class ?? '',
    class_usda_as_read: classOf(l.read),
    probability_pct: l.probability === null ? '' : figureCell(l.probability * 100, 1),
    verdict: l.act?.line ?? '',
    id: l.id,
    problem: l.problem ?? ''
  };
}
