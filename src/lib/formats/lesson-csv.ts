import {
  checkCalculation,
  measuredOf,
  pointsTogether,
  sheetTasks,
  sharesOfTops,
  type SheetTask
} from '../core/index.ts';
import { pointsOf, type AnswerRecord, type LessonDetail } from '../contract/records/lesson.ts';
import { csvFile, timeCell } from './csv-file.ts';

/** Name of a task in the head of the table. */
const headOf = (task: SheetTask): string =>
  `task_${task.no}_${task.kind === 'drill' ? task.task.key : task.kind}`;

/** What of an answer a table shows beside its points. */
function shown(task: SheetTask, { given, score }: AnswerRecord): string {
  if (given.kind === 'jar') {
    const { sandMm, siltMm, clayMm } = given.tops;
    return [sandMm, siltMm, clayMm].map((mm) => mm.toFixed(1)).join(' ');
  }
  if (given.kind === 'test') return given.text;
  if (given.kind === 'calculation' && task.kind === 'calculation') {
    const slips = checkCalculation(measuredOf(task.task), given.text).lines.flatMap(
      (line) => line.slip ?? []
    );
    return slips.join(' ');
  }
  return score?.slip ?? (score ? `${score.off.by.toFixed(1)} ${score.off.unit}` : '');
}

/**
 * A lesson as CSV (RFC 4180): a line a learner, points of each task and what they came from, times in UTC. `points` is the mean
 * over all tasks of the sheet; what nobody marked and what was not answered counts nothing.
 */
export function lessonCsv(lesson: LessonDetail): string {
  const tasks = sheetTasks(lesson.items, lesson.seed);
  const rows = lesson.learners.map((learner) => {
    const row: Record<string, string | number> = {
      name: learner.name,
      group: learner.groupName,
      joined_utc: timeCell(learner.joinedAt),
      handed_in_utc: timeCell(learner.handedInAt)
    };
    for (const task of tasks) {
      const answer = learner.answers.find((one) => one.no === task.no);
      const points = answer ? pointsOf(answer) : null;
      row[`${headOf(task)}_points`] = points ?? '';
      row[`${headOf(task)}_answer`] = answer ? shown(task, answer) : '';
      if (task.kind === 'jar') {
        const shares = answer?.given.kind === 'jar' ? sharesOrNone(answer.given.tops) : undefined;
        row[`${headOf(task)}_sand_pct`] = shares?.sand.toFixed(1) ?? '';
        row[`${headOf(task)}_silt_pct`] = shares?.silt.toFixed(1) ?? '';
        row[`${headOf(task)}_clay_pct`] = shares?.clay.toFixed(1) ?? '';
      }
    }
    row.points = pointsTogether(learner.answers.map(pointsOf), tasks.length).toFixed(1);
    return row;
  });
  if (rows.length > 0) return csvFile(rows);
  return csvFile([], ['name', 'group', 'joined_utc', 'handed_in_utc', 'points']);
}

/** Shares of tops; none where nothing lies under them. */
function sharesOrNone(tops: Parameters<typeof sharesOfTops>[0]) {
  return tops.clayMm > 0 ? sharesOfTops(tops) : undefined;
}
