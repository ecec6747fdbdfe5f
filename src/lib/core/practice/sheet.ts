import { layersAsRead } from '../layers/layers.ts';
import { checkCalculation, type Measured } from './calculation.ts';
import { makeTask, scoreTask, type DrillKey, type Given, type Task } from './drills.ts';
import { pictureTask, type PictureTask } from './drills/picture.ts';
import { totalTask, type TotalTask } from './drills/total.ts';
import { scoreOff, type Score } from './score.ts';

/**
 * An item of a sheet: tasks of a drill; a calculation worked by the book; one jar that everybody reads, a simulated one or one that
 * stands before them; a real test to run.
 */
export type SheetItem =
  | { kind: 'drill'; key: DrillKey; level: number; count: number }
  | { kind: 'calculation'; level: number }
  | { kind: 'jar'; code: string | null }
  | { kind: 'test'; what: string };

/** A task of a sheet, numbered from 1. */
export type SheetTask = { no: number } & (
  | { kind: 'drill'; task: Task }
  | { kind: 'calculation'; task: TotalTask }
  | { kind: 'jar'; code: string | null; picture: PictureTask | null }
  | { kind: 'test'; what: string }
);

/** Tops of a jar over the inside bottom, as a learner read them, mm. */
export type JarTops = { sandMm: number; siltMm: number; clayMm: number };

/** Lines of a jar, the lowest first. */
export const TOP_LINES = ['sandMm', 'siltMm', 'clayMm'] as const;

/** What a learner hands in for a task of each kind. */
export type SheetGiven =
  | { kind: 'drill'; given: Given }
  | { kind: 'calculation'; text: string }
  | { kind: 'jar'; tops: JarTops }
  | { kind: 'test'; text: string };

/** A sheet has so many seeds of its own: more than it can have tasks. */
const SEEDS_OF_SHEET = 1000;
/** The class reads a plain picture: what is measured is the reading, not the eye for faint lines. */
const JAR_LEVEL = 2;

/** The tasks of a sheet: the same for the whole class, by its seed. */
export function sheetTasks(items: readonly SheetItem[], seed: number): SheetTask[] {
  const tasks: SheetTask[] = [];
  for (const item of items) {
    const count = item.kind === 'drill' ? item.count : 1;
    for (let i = 0; i < count; i++) {
      const no = tasks.length + 1;
      const own = seed * SEEDS_OF_SHEET + no;
      if (item.kind === 'drill') tasks.push({ no, kind: 'drill', task: makeTask(item.key, own, item.level) });
      else if (item.kind === 'calculation')
        tasks.push({ no, kind: 'calculation', task: totalTask(own, item.level) });
      else if (item.kind === 'jar')
        tasks.push({
          no,
          kind: 'jar',
          code: item.code,
          picture: item.code === null ? pictureTask(own, JAR_LEVEL) : null
        });
      else tasks.push({ no, kind: 'test', what: item.what });
    }
  }
  return tasks;
}

/** What was measured of a calculation task, in mm, as its checker takes it. */
export const measuredOf = (task: TotalTask): Measured => ({
  sand: task.sandMm,
  silt: task.siltMm,
  clay: task.clayMm,
  gravel: task.gravelMm,
  organics: task.organicsMm,
  water: task.waterMm,
  jar: task.jarMm
});

/** True tops of a simulated jar of a class, mm. */
export function trueTops(picture: PictureTask): JarTops {
  const [sandMm, siltMm, clayMm] = picture.layers.map((layer) => layer.topMm);
  return { sandMm, siltMm, clayMm };
}

/** Shares by height of three tops, percent. */
export const sharesOfTops = ({ sandMm, siltMm, clayMm }: JarTops) =>
  layersAsRead({ sandMm, siltMm: siltMm - sandMm, clayMm: clayMm - siltMm }).fractions;

/** Points of a learner over a whole sheet: what was not answered, and what nobody marked, counts nothing. */
export const pointsTogether = (points: readonly (number | null)[], tasks: number): number =>
  tasks > 0 ? points.reduce<number>((sum, one) => sum + (one ?? 0), 0) / tasks : 0;

/** What a ruler on a picture tells at best, mm. */
const FAIR_MM = 1.5;

/**
 * The score of what was handed in for a task.
 *
 * @returns undefined for what only a teacher can mark, and for an answer of another kind
 */
export function scoreSheet(task: SheetTask, given: SheetGiven): Score | undefined {
  if (task.kind === 'drill' && given.kind === 'drill') return scoreTask(task.task, given.given);
  if (task.kind === 'calculation' && given.kind === 'calculation') {
    const { points } = checkCalculation(measuredOf(task.task), given.text);
    return { points, off: { by: 100 - points, unit: 'points' } };
  }
  if (task.kind === 'jar' && given.kind === 'jar' && task.picture) {
    const truth = trueTops(task.picture);
    const by = Math.max(...TOP_LINES.map((line) => Math.abs(given.tops[line] - truth[line])));
    return scoreOff({ by, unit: 'mm' }, FAIR_MM);
  }
  return undefined;
}
