import { csvFile, figureCell, timeCell } from './csv-file.ts';
import { isShare, sharesRead, type JarAnswer, type MassEstimate } from '../core/index.ts';
import { toJarReading } from '../contract/reading.ts';
import { isJarSnapshot, type CylinderSnapshot, type TestDetail } from '../contract/records/result.ts';
import type { JarFact } from '../contract/records/jar.ts';

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
    : { value: figureCell(test[fact], 1), unit, text: '' };

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
      ? [row({ what: 'dry soil, weighed', value: figureCell(test.weighed.grams, 1), unit: 'g' })]
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
        ? row({ ...head, what: 'set down', time_utc: timeCell(run.setDownAt), seconds: '0' })
        : row({ ...head, what: 'stood already', text: run.stood })
    ];
    for (const mark of run.marks) {
      rows.push(
        row({
          ...head,
          what: 'mark',
          time_utc: timeCell(mark.at),
          seconds: figureCell((mark.at - run.setDownAt) / 1000, 1),
          layer: mark.layer,
          value: figureCell(mark.heightMm, 2),
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
          time_utc: timeCell(gauge.at),
          seconds: figureCell((gauge.at - run.setDownAt) / 1000, 1),
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
          time_utc: timeCell(top.at),
          seconds: figureCell((top.at - run.setDownAt) / 1000, 1),
          value: figureCell(top.heightMm, 2),
          unit: 'mm',
          text: top.water ?? ''
        })
      );
    }
    if (run.endedAt !== null) {
      rows.push(
        row({ ...head, what: 'run ended', time_utc: timeCell(run.endedAt), text: run.endReason ?? '' })
      );
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
      time_utc: timeCell(at),
      layer,
      value: figureCell(pct, 2),
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
            time_utc: timeCell(reading.at),
            layer,
            value: figureCell(line.mm, 2),
            unit: 'mm',
            text: line.text
          })
        );
    const { organics, measuredTotal, second, by } = reading.entry;
    if (by) lines.push(row({ what: 'read by', run: no, time_utc: timeCell(reading.at), text: by }));
    const secondBy = second?.by ?? '';
    for (const [layer, line] of Object.entries(second?.lines ?? {})) {
      lines.push(
        row({
          what: `layer top, read by ${secondBy}`,
          run: no,
          time_utc: timeCell(reading.at),
          layer,
          value: figureCell(line.mm, 2),
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
          time_utc: timeCell(reading.at),
          value: figureCell(organics.mm, 2),
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
          time_utc: timeCell(reading.at),
          value: figureCell(measuredTotal.mm, 2),
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
        value: figureCell(mass.fractions[layer], 2),
        unit: '%'
      })
    ),
    row({
      ...head,
      what: 'class usda by mass',
      value: figureCell(mass.probability * 100, 1),
      unit: '%',
      text: mass.class.name
    })
  ];
}

function answerRows(answer: JarAnswer | undefined, head: { time_utc: string; text: string }): Row[] {
  if (!answer) return [];
  return [
    ...(['sand', 'silt', 'clay'] as const).flatMap((layer) => [
      row({
        ...head,
        what: 'answer by mass',
        layer,
        value: figureCell(answer.fractions[layer], 2),
        unit: '%'
      }),
      row({ ...head, what: 'answer error', layer, value: figureCell(answer.sd[layer], 2), unit: 'points' })
    ]),
    ...answer.classes.map(({ name, probability }) =>
      row({
        ...head,
        what: 'answer class usda',
        value: figureCell(probability * 100, 1),
        unit: '%',
        text: name
      })
    )
  ];
}

function cylinderRows({ result }: CylinderSnapshot, head: { time_utc: string; text: string }): Row[] {
  return [
    ...(['sand', 'silt', 'clay'] as const).map((layer) =>
      row({ ...head, what: 'share by mass', layer, value: figureCell(result.fractions[layer], 2), unit: '%' })
    ),
    row({
      ...head,
      what: 'class usda by mass',
      value: result.probability === null ? '' : figureCell(result.probability * 100, 1),
      unit: '%',
      text: result.class.name
    }),
    ...result.curve.map((point) =>
      row({
        ...head,
        what: `percent finer than ${point.diameterUm.toPrecision(3)} um`,
        value: figureCell(point.percentFiner, 2),
        unit: '%',
        text: point.from
      })
    )
  ];
}

function resultRows(test: TestDetail): Row[] {
  return test.results.flatMap((kept) => {
    const head = { time_utc: timeCell(kept.at), text: kept.reopenedAt === null ? '' : 'superseded' };
    const version = row({ ...head, what: 'core version', text: kept.coreVersion });
    if (!isJarSnapshot(kept.snapshot)) return [...cylinderRows(kept.snapshot, head), version];
    const worked = kept.snapshot.result;
    if (isShare(worked)) {
      const { layer, pct, orMore } = worked;
      const what = orMore ? 'share by height, over' : 'share by height';
      return [row({ ...head, what, layer, value: figureCell(pct, 2), unit: '%' }), version];
    }
    const { fractions, class: own, probability, gravelPct } = worked;
    return [
      ...(['sand', 'silt', 'clay'] as const).map((layer) =>
        row({ ...head, what: 'share by height', layer, value: figureCell(fractions[layer], 2), unit: '%' })
      ),
      row({ ...head, what: 'gravel share', layer: 'gravel', value: figureCell(gravelPct, 2), unit: '%' }),
      row({
        ...head,
        what: 'class usda',
        value: probability === null ? '' : figureCell(probability * 100, 1),
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
