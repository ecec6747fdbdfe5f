import type { Fractions } from '../physics/bands.ts';
import { settlingColumn, type Column } from '../physics/column.ts';
import { PLANNING_SOIL } from '../method/cuts.ts';
import type { RunMethod } from '../method/types.ts';
import type { LayerName } from '../layers/layers.ts';

/** What the drawing of a jar needs to know. Heights mm, times s after set-down. */
export type JarFacts = {
  columnMm: number;
  tempC: number;
  solidsKgM2: number;
  method: RunMethod;
  /** Timed marks whose height is known. */
  marks: readonly { layer: LayerName; timeS: number; heightMm?: number }[];
  fractions?: Fractions;
};

/** The jar as it should look now. */
export type JarPicture = {
  /** Layer tops from the bottom, mm over the inside bottom. */
  layers: { layer: LayerName; topMm: number }[];
  depositMm: number;
  /** Murk from the water line down to the deposit at equal depths, as opacity 0-1. */
  turbidity: number[];
  /** Share of the way of 2 um down the column, 0-1. */
  progress: number;
};

const TURBIDITY_STEPS = 6;
/** Optical depth of the whole load across a jar; chosen so that a tenth of it still looks milky. */
const MURK_DEPTH = 3;

/** Opacity of water that holds a share of its first solids (Beer-Lambert). */
function turbidityOpacity(share: number): number {
  return 1 - Math.exp(-MURK_DEPTH * share);
}

const columns = new Map<string, Column>();

/**
 * The settling column of a jar, of the planning soil unless the fractions are known. Kept and reused: a column is
 * pure in its inputs, and a shelf asks for the same few again and again.
 */
export function jarColumn(facts: {
  columnMm: number;
  tempC: number;
  solidsKgM2: number;
  fractions?: Fractions;
}): Column {
  const fractions = facts.fractions ?? PLANNING_SOIL;
  const key = [facts.columnMm, facts.tempC, facts.solidsKgM2, fractions.sand, fractions.silt].join('|');
  let column = columns.get(key);
  if (!column) {
    column = settlingColumn({ ...facts, fractions });
    if (columns.size > 200) columns.clear();
    columns.set(key, column);
  }
  return column;
}

/**
 * The jar as the physics says it should look `timeS` after set-down.
 *
 * The deposit follows the settling column of the planning soil; where marks have been measured it is drawn
 * through them (the ratio of measured to predicted, in a straight line over log time, held beyond the ends).
 * Layers are cut where the method marks them; a method without marks is cut at the times of 50 and 2 um.
 */
export function predictJar(facts: JarFacts, timeS: number): JarPicture {
  const column = jarColumn(facts);
  const ratio = markRatio(column, facts);
  const heightAt = (t: number) => Math.min(column.heightMm(t) * ratio(t), facts.columnMm);
  const depositMm = heightAt(timeS);
  const layers: JarPicture['layers'] = [];
  let below = 0;
  for (const cut of cutTimes(column, facts)) {
    if (cut.timeS >= timeS) {
      layers.push({ layer: cut.layer, topMm: Math.max(below, depositMm) });
      break;
    }
    const topMm = Math.max(below, cut.heightMm ?? heightAt(cut.timeS));
    layers.push({ layer: cut.layer, topMm });
    below = topMm;
  }
  const turbidity: number[] = [];
  for (let i = 0; i <= TURBIDITY_STEPS; i++) {
    turbidity.push(
      turbidityOpacity(column.suspendedAt(timeS, (facts.columnMm - depositMm) * (i / TURBIDITY_STEPS) + 0.5))
    );
  }
  return { layers, depositMm, turbidity, progress: Math.min(1, timeS / column.timeOfCut(2)) };
}

function cutTimes(column: Column, facts: JarFacts): { layer: LayerName; timeS: number; heightMm?: number }[] {
  const planned =
    facts.method.marks.length > 0
      ? facts.method.marks.map((m) => ({ layer: m.layer as LayerName, timeS: m.atS }))
      : [
          { layer: 'sand' as LayerName, timeS: column.timeOfCut(50) },
          { layer: 'silt' as LayerName, timeS: column.timeOfCut(2) },
          { layer: 'clay' as LayerName, timeS: Infinity }
        ];
  const cuts = planned.map((plan) => facts.marks.find((m) => m.layer === plan.layer) ?? plan);
  // What comes down after the last mark still lies in the last layer.
  return cuts.map((cut, i) => (i === cuts.length - 1 ? { layer: cut.layer, timeS: Infinity } : cut));
}

function markRatio(column: Column, facts: JarFacts): (timeS: number) => number {
  const known = facts.marks
    .flatMap(({ timeS, heightMm = 0 }) =>
      heightMm > 0 && timeS > 0 ? [{ x: Math.log(timeS), y: heightMm / column.heightMm(timeS) }] : []
    )
    .sort((a, b) => a.x - b.x);
  if (known.length === 0) return () => 1;
  return (timeS) => {
    const x = Math.log(Math.max(timeS, 1e-3));
    const after = known.findIndex((k) => k.x >= x);
    if (after === 0) return known[0].y;
    if (after === -1) return known[known.length - 1].y;
    const a = known[after - 1];
    const b = known[after];
    return a.y + ((x - a.x) / (b.x - a.x)) * (b.y - a.y);
  };
}
