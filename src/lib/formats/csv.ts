import { csvFile } from './csv-file.ts';
import {
  classifyTexture,
  isShare,
  outcomeOf,
  sharesRead,
  type JarAnswer,
  type MassEstimate
} from '../core/index.ts';
import { toJarReading } from '../contract/reading.ts';
import { isJarSnapshot, type CylinderSnapshot, type TestDetail } from '../contract/records/result.ts';
import type { JarFact } from '../contract/records/jar.ts';
import type { LogLine } from '../contract/records/log.ts';

/** A cell that a spreadsheet might run as a formula is written as text. */

const iso = (at: number | null): string => (at === null ? '' : new Date(at).toISOString());
const fixed = (value: number | null, digits: number): string => (value === null ? '' : value.toFixed(digits));

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
    set_down_utc: iso(l.setDownAt),
    finished_utc: iso(l.finishedAt),
    water_temp_c: fixed(l.tempC, 1),
    sand_pct: fixed(l.read?.sand ?? l.sand, 2),
    silt_pct: fixed(l.read?.silt ?? l.silt, 2),
    clay_pct: fixed(l.read?.clay ?? l.clay, 2),
    clay_over_pct: l.clayOver === undefined ? '' : fixed(l.clayOver, 0),
    answer_sand_pct: fixed(l.read && l.sand, 2),
    answer_silt_pct: fixed(l.read && l.silt, 2),
    answer_clay_pct: fixed(l.read && l.clay, 2),
    gravel_pct: fixed(l.gravelPct, 2),
    class_usda: l.class ?? '',
    class_usda_as_read: classOf(l.read),
    probability_pct: l.probability === null ? '' : fixed(l.probability * 100, 1),
    verdict: l.act?.line ?? '',
    id: l.id,
    problem: l.problem ?? ''
  };
}

type Row = {
  what: string;
  run: string;
  time_utc: string;
  seconds: string;
  layer: string;
  value: string;
  unit: string;
  text: string;
};

const row = (fields: Partial<Row> & { what: string }): Row => ({
  run: '',
  time_utc: '',
  seconds: '',
  layer: '',
  value: '',
  unit: '',
  text: '',
  ...fields
});

/** A fact of a jar; what nobody measured has no value. */
const measured = (test: TestDetail, fact: JarFact, unit: string): Pick<Row, 'value' | 'unit' | 'text'> =>
  test.notMeasured.includes(fact)
    ? { value: '', unit, text: 'not measured' }
    : { value: fixed(test[fact], 1), unit, text: '' };

/** The dispersant in the words of whoever used it, where it was told. */
const toldOf = ({ used: { dispersant } }: TestDetail): Partial<Row> =>
  dispersant ? { text: [dispersant.text, dispersant.kind].filter(Boolean).join(' of ') } : {};

function factRows(test: TestDetail): Row[] {
  return [
    row({ what: 'code', text: test.code }),
    row({ what: 'sample', text: test.sample.name }),
    row({
      what: 'method',
      text: `${test.methodKey}: ${test.method.name}`,
      value: String(test.methodVersion),
      unit: 'version'
    }),
    row({ what: 'vessel', text: test.vessel.name }),
    row({ what: 'dry soil', ...measured(test, 'soilMm', 'mm') }),
    ...(test.weighed
      ? [row({ what: 'dry soil, weighed', value: fixed(test.weighed.grams, 1), unit: 'g' })]
      : []),
    row({ what: 'water line', ...measured(test, 'waterMm', 'mm') }),
    row({ what: 'dispersant', ...measured(test, 'dispersantMl', 'mL'), ...toldOf(test) }),
    ...(['soil', 'soaked', 'shaken'] as const).flatMap((what) => {
      const text = test.used[what];
      return text === undefined ? [] : [row({ what: `as told: ${what}`, text })];
    }),
    row({ what: 'water temperature', ...measured(test, 'tempC', 'degC') })
  ];
}

function unitOfGauge({ method, cylinder }: TestDetail): string {
  if (method.kind === 'pipette') return 'g';
  return cylinder?.facts.bulb === '151H' ? 'relative density' : 'g/L';
}

function runRows(test: TestDetail): Row[] {
  return test.runs.flatMap((run) => {
    const head = { run: String(run.no) };
    const rows = [
      run.stood === null
        ? row({ ...head, what: 'set down', time_utc: iso(run.setDownAt), seconds: '0' })
        : row({ ...head, what: 'stood already', text: run.stood })
    ];
    for (const mark of run.marks) {
      rows.push(
        row({
          ...head,
          what: 'mark',
          time_utc: iso(mark.at),
          seconds: fixed((mark.at - run.setDownAt) / 1000, 1),
          layer: mark.layer,
          value: fixed(mark.heightMm, 2),
          unit: mark.heightMm === null ? '' : 'mm',
          text: mark.heightText ?? ''
        })
      );
    }
    for (const gauge of run.gauges) {
      rows.push(
        row({
          ...head,
          what: `instrument reading ${gauge.no + 1}`,
          time_utc: iso(gauge.at),
          seconds: fixed((gauge.at - run.setDownAt) / 1000, 1),
          value: gauge.value === null ? '' : String(gauge.value),
          unit: unitOfGauge(test),
          text: gauge.tempC === null ? '' : `${gauge.tempC} degC`
        })
      );
    }
    for (const top of run.tops) {
      rows.push(
        row({
          ...head,
          what: 'top of sediment',
          time_utc: iso(top.at),
          seconds: fixed((top.at - run.setDownAt) / 1000, 1),
          value: fixed(top.heightMm, 2),
          unit: 'mm',
          text: top.water ?? ''
        })
      );
    }
    if (run.endedAt !== null) {
      rows.push(row({ ...head, what: 'run ended', time_utc: iso(run.endedAt), text: run.endReason ?? '' }));
    }
    return rows;
  });
}

/** Shares that somebody gave: no heights of this jar, and not told as such. */
function shareRows({ at, entry }: TestDetail['readings'][number], run: string): Row[] {
  const result = sharesRead(toJarReading(entry));
  const what = entry.figures === 'eye' ? 'share by eye' : 'share from elsewhere';
  const shares =
    result.kind === 'share' ? { [result.layer]: result.pct } : (result.fractions as Record<string, number>);
  return Object.entries(shares).map(([layer, pct]) =>
    row({
      what,
      run,
      time_utc: iso(at),
      layer,
      value: fixed(pct, 2),
      unit: '%',
      text: entry.typed?.shares?.[layer as 'sand'] ?? ''
    })
  );
}

function readingRows(test: TestDetail): Row[] {
  return test.readings.flatMap((reading) => {
    const no = String(test.runs.find((r) => r.id === reading.runId)?.no ?? '');
    const lines = reading.entry.figures
      ? shareRows(reading, no)
      : Object.entries(reading.entry.lines).map(([layer, line]) =>
          row({
            what: 'layer top',
            run: no,
            time_utc: iso(reading.at),
            layer,
            value: fixed(line.mm, 2),
            unit: 'mm',
            text: line.text
          })
        );
    const { organics, measuredTotal, second, by } = reading.entry;
    if (by) lines.push(row({ what: 'read by', run: no, time_utc: iso(reading.at), text: by }));
    const secondBy = second?.by ?? '';
    for (const [layer, line] of Object.entries(second?.lines ?? {})) {
      lines.push(
        row({
          what: `layer top, read by ${secondBy}`,
          run: no,
          time_utc: iso(reading.at),
          layer,
          value: fixed(line.mm, 2),
          unit: 'mm',
          text: line.text
        })
      );
    }
    if (organics) {
      lines.push(
        row({
          what: 'floating organics',
          run: no,
          time_utc: iso(reading.at),
          value: fixed(organics.mm, 2),
          unit: 'mm',
          text: organics.text
        })
      );
    }
    if (measuredTotal && !reading.entry.figures) {
      lines.push(
        row({
          what: 'measured total',
          run: no,
          time_utc: iso(reading.at),
          value: fixed(measuredTotal.mm, 2),
          unit: 'mm',
          text: measuredTotal.text
        })
      );
    }
    return lines;
  });
}

function massRows(mass: MassEstimate | undefined, head: { time_utc: string; text: string }): Row[] {
  if (!mass) return [];
  return [
    ...(['sand', 'silt', 'clay'] as const).map((layer) =>
      row({
        ...head,
        what: 'share by mass, estimated',
        layer,
        value: fixed(mass.fractions[layer], 2),
        unit: '%'
      })
    ),
    row({
      ...head,
      what: 'class usda by mass',
      value: fixed(mass.probability * 100, 1),
      unit: '%',
      text: mass.class.name
    })
  ];
}

function answerRows(answer: JarAnswer | undefined, head: { time_utc: string; text: string }): Row[] {
  if (!answer) return [];
  return [
    ...(['sand', 'silt', 'clay'] as const).flatMap((layer) => [
      row({ ...head, what: 'answer by mass', layer, value: fixed(answer.fractions[layer], 2), unit: '%' }),
      row({ ...head, what: 'answer error', layer, value: fixed(answer.sd[layer], 2), unit: 'points' })
    ]),
    ...answer.classes.map(({ name, probability }) =>
      row({ ...head, what: 'answer class usda', value: fixed(probability * 100, 1), unit: '%', text: name })
    )
  ];
}

function cylinderRows({ result }: CylinderSnapshot, head: { time_utc: string; text: string }): Row[] {
  return [
    ...(['sand', 'silt', 'clay'] as const).map((layer) =>
      row({ ...head, what: 'share by mass', layer, value: fixed(result.fractions[layer], 2), unit: '%' })
    ),
    row({
      ...head,
      what: 'class usda by mass',
      value: result.probability === null ? '' : fixed(result.probability * 100, 1),
      unit: '%',
      text: result.class.name
    }),
    ...result.curve.map((point) =>
      row({
        ...head,
        what: `percent finer than ${point.diameterUm.toPrecision(3)} um`,
        value: fixed(point.percentFiner, 2),
        unit: '%',
        text: point.from
      })
    )
  ];
}

function resultRows(test: TestDetail): Row[] {
  return test.results.flatMap((kept) => {
    const head = { time_utc: iso(kept.at), text: kept.reopenedAt === null ? '' : 'superseded' };
    const version = row({ ...head, what: 'core version', text: kept.coreVersion });
    if (!isJarSnapshot(kept.snapshot)) return [...cylinderRows(kept.snapshot, head), version];
    const worked = kept.snapshot.result;
    if (isShare(worked)) {
      const { layer, pct, orMore } = worked;
      const what = orMore ? 'share by height, over' : 'share by height';
      return [row({ ...head, what, layer, value: fixed(pct, 2), unit: '%' }), version];
    }
    const { fractions, class: own, probability, gravelPct } = worked;
    return [
      ...(['sand', 'silt', 'clay'] as const).map((layer) =>
        row({ ...head, what: 'share by height', layer, value: fixed(fractions[layer], 2), unit: '%' })
      ),
      row({ ...head, what: 'gravel share', layer: 'gravel', value: fixed(gravelPct, 2), unit: '%' }),
      row({
        ...head,
        what: 'class usda',
        value: probability === null ? '' : fixed(probability * 100, 1),
        unit: '%',
        text: own.name
      }),
      ...massRows(kept.snapshot.mass, head),
      ...answerRows(kept.snapshot.answer, head),
      version
    ];
  });
}

/** One test as CSV: one line a fact, mark, layer top or result, oldest first. */
export function testToCsv(test: TestDetail): string {
  const rows = [...factRows(test), ...runRows(test), ...readingRows(test), ...resultRows(test)];
  return csvFile(rows);
}
