import { CLAY_LIMIT_UM, CLAY_FLOOR_UM, settledShare, USDA_SAND_LIMIT_UM } from '../physics/bands.ts';
import type { Column } from '../physics/column.ts';
import { shownCut } from '../method/cuts.ts';
import { timingOf } from '../method/window.ts';
import type { RunMethod } from '../method/types.ts';
import type { Clarity } from './clarity.ts';
import type { Layers } from '../layers/layers.ts';

/** What stands against taking the shares of a reading as they are. Times s after set-down, sizes um. */
export type ReadingDoubt =
  /** A line is a mark that was made so far from its time that it parts the soil at another size. */
  | { kind: 'mark-size'; layer: 'sand' | 'silt'; timeS: number; cutUm: number; askedUm: number }
  /** Silt was still coming down: the range that each share is left in, percent by height. */
  | {
      kind: 'too-soon';
      readS: number;
      siltDoneS: number;
      shares: Record<'sand' | 'silt' | 'clay', ShareRange>;
    };

export type ShareRange = { low: number; high: number };

/** What is known of a reading when its shares are doubted. */
export type DoubtFacts = {
  method: Pick<RunMethod, 'marks'>;
  /** The column of the jar for the planning soil. */
  column: Column;
  columnMm: number;
  tempC: number;
  /** Height of the dry fill, mm; undefined where nobody saw it filled. */
  soilMm?: number;
  /** When the layers were read, s after set-down; undefined where nobody knows. */
  readS?: number;
  water: Clarity;
  /** Lines of the reading that are timed marks: when each was made, s after set-down. */
  markedS: Partial<Record<'sand' | 'silt' | 'clay', number>>;
  /** Thicknesses as read, mm; undefined for a share alone. */
  layers?: Layers;
};

/** The doubts of a reading; none of one that was made in its time. */
export function readingDoubts(facts: DoubtFacts): ReadingDoubt[] {
  const out: ReadingDoubt[] = [];
  const { column, columnMm, tempC } = facts;
  for (const layer of ['sand', 'silt'] as const) {
    const timeS = facts.markedS[layer];
    const plan = facts.method.marks.find((m) => m.layer === layer);
    if (timeS === undefined || !plan || !timingOf(plan, timeS).far) continue;
    const cut = (s: number) => shownCut(column, columnMm, tempC, Math.max(1, s));
    out.push({ kind: 'mark-size', layer, timeS, cutUm: cut(timeS), askedUm: cut(plan.atS) });
  }
  const soon = tooSoon(facts);
  if (soon) out.push(soon);
  return out;
}

/** Most that may still come down, times what has settled: beyond that a reading tells nothing at all. */
const COMING_MOST = 3;

/**
 * Read before 2 um has fallen the column, with water that nobody has seen clear. What has settled of each size is scaled to
 * what there is of it, and set against what the dry fill leaves to come; the larger of the two is the far end of the range,
 * as read the near one.
 */
function tooSoon({ column, readS, water, layers, soilMm }: DoubtFacts): ReadingDoubt | undefined {
  if (readS === undefined || water === 'clear' || !layers) return undefined;
  const siltDoneS = column.timeOfCut(CLAY_LIMIT_UM);
  if (readS >= siltDoneS) return undefined;
  const { sandMm: sand, siltMm: silt, clayMm: clay } = layers;
  const total = sand + silt + clay;
  if (!(total > 0)) return undefined;
  const cutUm = column.cutUm(Math.max(1, readS));
  const down = (fromUm: number, toUm: number) => Math.max(0.01, settledShare({ fromUm, toUm }, cutUm));
  const siltComing = silt / down(CLAY_LIMIT_UM, USDA_SAND_LIMIT_UM) - silt;
  const clayComing = clay / down(CLAY_FLOOR_UM, CLAY_LIMIT_UM) - clay;
  const byFill = soilMm === undefined ? 0 : soilMm - total - layers.gravelMm;
  const coming = Math.min(COMING_MOST * total, Math.max(siltComing + clayComing, byFill, 0));
  const whole = total + coming;
  // Nobody knows whether silt or clay is to come: either may be all of it.
  const range = (mm: number, mayGrow: boolean): ShareRange => ({
    low: (100 * mm) / whole,
    high: mayGrow ? (100 * (mm + coming)) / whole : (100 * mm) / total
  });
  return {
    kind: 'too-soon',
    readS,
    siltDoneS,
    shares: { sand: range(sand, false), silt: range(silt, true), clay: range(clay, true) }
  };
}
