import {
  formatTapeTime,
  type CylinderFacts,
  type MassWorking,
  type TextureResult,
  type WorkingLine
} from '../../core/index.ts';
import { standingMarks } from '../../contract/reading.ts';
import type { JarRecord } from '../../contract/records/jar.ts';
import type { RunRecord } from '../../contract/records/run.ts';
import type { WorkTable } from './types.ts';
import type { ReadingRow } from './readings.ts';
import type { Format } from '../../words/format.ts';
import { cutOfMark } from '../jars.ts';
import { cutText } from '../../words/steps.ts';
import { t } from '../../words/index.ts';

const LAYERS = ['sand', 'silt', 'clay'] as const;

/** The estimate by mass line by line: what each mark should have found, or what each band weighs. */
export function massTable(working: MassWorking, format: Format): WorkTable {
  const line = t.mass.line;
  const size = (mm: number) => format.length(mm, 1);
  if (working.basis === 'marks') {
    return {
      title: t.work.markByMark,
      head: [line.adds, ...LAYERS.map((layer) => t.layer[layer]), line.sum, line.read],
      rows: working.marks.map((mark) => [
        line.mark(formatTapeTime(mark.timeS), mark.cutUm.toFixed(mark.cutUm < 10 ? 1 : 0)),
        ...LAYERS.map((layer) => size(mark.addsMm[layer])),
        size(mark.sumMm),
        size(mark.readMm)
      ]),
      numbers: [1, 2, 3, 4, 5]
    };
  }
  return {
    title: t.work.layerByLayer,
    head: [t.mass.part, line.thick, line.packs, line.down, line.load],
    rows: working.bands.map((band) => [
      t.Layer[band.layer],
      size(band.thickMm),
      `× ${band.packing}`,
      `÷ ${band.downPct.toFixed(0)} %`,
      `= ${band.loadKgM2.toFixed(2)} kg/m²`
    ]),
    numbers: [1, 2, 3, 4]
  };
}

/** Layers as they were read, each as a share of sand, silt and clay together. */
export function asReadTable(result: TextureResult, format: Format): WorkTable {
  const head = t.work.asReadHead;
  const { layers } = result;
  const size = (mm: number) =>
    result.mlPerMm === undefined ? format.length(mm, 1) : `${(mm * result.mlPerMm).toFixed(1)} mL`;
  const read = result.calibrated?.asRead ?? result.fractions;
  const fines = layers.sandMm + layers.siltMm + layers.clayMm;
  return {
    title: t.work.asRead,
    head: [head.part, head.thick, head.working, head.share, head.error],
    rows: [
      ...LAYERS.map((layer) => [
        t.Layer[layer],
        size(layers[`${layer}Mm`]),
        t.work.quotient(size(layers[`${layer}Mm`]), size(fines)),
        `${read[layer].toFixed(1)} %`,
        result.sd[layer].toFixed(1)
      ]),
      ...(layers.gravelMm > 0
        ? [
            [
              t.Layer.gravel,
              size(layers.gravelMm),
              t.work.quotient(size(layers.gravelMm), size(result.totalMm)),
              `${result.gravelPct.toFixed(1)} %`,
              ''
            ]
          ]
        : [])
    ],
    numbers: [1, 2, 3, 4]
  };
}

/** The tape on the glass: asked for, made, its height, and unless another table says it, what had come down by then. */
export function marksTable(jar: JarRecord, run: RunRecord, format: Format, cuts: boolean): WorkTable {
  const head = t.work.marksHead;
  return {
    title: t.work.marks,
    head: [head.layer, head.asked, head.took, head.height, ...(cuts ? [head.cut] : [])],
    rows: standingMarks(run.marks).map((mark) => {
      const seconds = (mark.at - run.setDownAt) / 1000;
      const plan = jar.method.marks.find((m) => m.layer === mark.layer);
      return [
        t.Layer[mark.layer],
        plan ? formatTapeTime(plan.atS) : '',
        formatTapeTime(seconds),
        mark.heightMm === null ? '' : format.length(mark.heightMm, 1),
        ...(cuts ? [seconds > 1 ? `${cutText(cutOfMark(jar, seconds))} µm` : ''] : [])
      ];
    }),
    numbers: [1, 2, 3, 4]
  };
}

/** The readings of a cylinder with what came of each. */
export function readingsTable(
  rows: readonly ReadingRow[],
  facts: CylinderFacts,
  tool: 'hydrometer' | 'pipette'
): WorkTable {
  const column = t.cylinder.column;
  const unit = tool === 'pipette' ? t.cylinder.unit.pipette : t.cylinder.unit[facts.bulb];
  const blank = tool === 'hydrometer';
  return {
    title: t.work.readings,
    head: [
      column.no,
      column.asked,
      column.took,
      `${column.value[tool]}, ${unit}`,
      `${column.temp}, °C`,
      ...(blank ? [column.blank, column.corrected] : []),
      column.size,
      column.finer
    ],
    rows: rows.flatMap(({ no, asked, took = '', worked: w }) => {
      if (!w) return [];
      const taken = blank
        ? [String(w.hydrometer?.blank?.value ?? ''), w.hydrometer?.corrected.toFixed(1) ?? '']
        : [];
      const came = [`${cutText(w.shownUm)} µm`, `${w.finerPct.toFixed(1)} %`];
      return [[String(no + 1), asked, took, String(w.value), w.tempC.toFixed(1), ...taken, ...came]];
    }),
    numbers: blank ? [1, 2, 3, 4, 5, 6, 7, 8] : [1, 2, 3, 4, 5, 6]
  };
}

/** Formula in symbols, in numbers, and what it gives. */
export function formulasTable(lines: readonly WorkingLine[]): WorkTable {
  const head = t.cylinder.workingHead;
  return {
    title: t.work.formulas,
    head: ['', head.what, head.symbols, head.numbers, head.outcome],
    rows: lines.map((line, i) => [
      line.no !== undefined && lines[i - 1]?.no !== line.no ? String(line.no + 1) : '',
      t.cylinder.workingLine[line.key],
      line.symbols,
      line.numbers,
      line.outcome
    ]),
    numbers: [4],
    formulas: [2]
  };
}
