import {
  lookThrough,
  workThrough,
  type TableAsked,
  type TableLook,
  type WorkedRow
} from '../../formats/table/look.ts';
import { TableProblem } from '../../formats/table/text.ts';
import { answering } from './answering.ts';

/** What is asked of a table: to look through it; to begin with its rows; for the next of them; to let it go. */
export type TableQuestion =
  | { kind: 'look'; asked: TableAsked }
  | { kind: 'begin'; id: string; asked: TableAsked }
  | { kind: 'next'; id: string; most: number }
  | { kind: 'end'; id: string };
export type TableAnswer = { look: TableLook } | { rows: WorkedRow[] } | { problem: string };

/** Tables whose rows are being taken, by the import that takes them. */
const open = new Map<string, Generator<WorkedRow>>();

/** Reads tables beside the server, and works out what each row of them comes to. */
answering((question: TableQuestion): TableAnswer => {
  try {
    return answer(question);
  } catch (problem) {
    if (problem instanceof TableProblem) return { problem: problem.message };
    throw problem;
  }
});

function answer(question: TableQuestion): TableAnswer {
  if (question.kind === 'look') return { look: lookThrough(question.asked) };
  const { id } = question;
  if (question.kind === 'begin') open.set(id, workThrough(question.asked));
  if (question.kind === 'end') open.delete(id);
  if (question.kind !== 'next') return { rows: [] };
  const rows: WorkedRow[] = [];
  const from = open.get(id);
  // The thread was begun anew meanwhile: what was taken so far is not all there is.
  if (!from) throw new Error('its table is not open any more');
  while (rows.length < question.most) {
    const { done, value } = from.next();
    if (done) break;
    rows.push(value);
  }
  return { rows };
}
