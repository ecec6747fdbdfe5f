import { RangeProblem } from '../core/index.ts';
import { refusals } from '../words/refusals.ts';

/** A command that cannot be done, with a sentence for the whole and one beside each field. */
export class CommandProblem extends Error {
  readonly status: number;
  readonly fields: Record<string, string>;

  /** @param retryS where it may be tried again by itself: after how long, s */
  constructor(
    message: string,
    fields: Record<string, string> = {},
    status = 422,
    readonly retryS?: number
  ) {
    super(message);
    this.name = 'CommandProblem';
    this.fields = fields;
    this.status = status;
  }
}

/**
 * What is wrong with something that came in: a sentence beside each field, by its path. Over the whole stands the first of them, with
 * its place in a list where it is of one, and how many more there are: whoever shows one line shows what to do.
 */
export function fieldsProblem(
  issues: readonly { path: readonly PropertyKey[]; message: string }[]
): CommandProblem {
  const fields: Record<string, string> = {};
  for (const { path, message } of issues) fields[path.map(String).join('.') || 'form'] ??= message;
  const [first] = issues;
  const [list, no] = first?.path ?? [];
  const place = typeof no === 'number' ? refusals.common.ofList(String(list), no + 1) : '';
  const more = Object.keys(fields).length - 1;
  return new CommandProblem(refusals.common.andMore(place + (first?.message ?? ''), more), fields);
}

/**
 * A change to a test that is finished. Where the press had waited on a device it is kept as a note with its time: nobody
 * there could know.
 */
export class FinishedProblem extends CommandProblem {
  readonly test: { id: string; code: string; finishedAt: number | null };

  constructor(test: FinishedProblem['test']) {
    super(`${test.code} is finished. Open it again before changing it.`, {}, 409);
    this.name = 'FinishedProblem';
    this.test = test;
  }
}

/** A refusal whose sentence stands beside one field. */
export const beside = (field: string, message: string, status = 422): CommandProblem =>
  new CommandProblem(message, { [field]: message }, status);

/** Refuses with all that the core found wrong, a sentence beside each field. */
export function requireNone(problems: readonly RangeProblem[]): void {
  const [first] = problems;
  if (!first) return;
  const fields: Record<string, string> = {};
  for (const { field, message } of problems) fields[field] ??= message;
  throw new CommandProblem(first.message, fields);
}

/** Throws with status 404 when something is not there. */
export function found<T>(row: T | undefined, what: string): T {
  if (row === undefined) throw new CommandProblem(`${what} is not here. It may have been removed.`, {}, 404);
  return row;
}

/** Lets the core check or work something out; what it refuses stands beside its field. */
export function ranged<T>(work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof RangeProblem) throw beside(error.field, error.message);
    throw error;
  }
}

/** An error and all that it wraps. */
function* causesOf(error: unknown): Generator<Error> {
  for (let at = error; at instanceof Error; at = at.cause) yield at;
}

/** What the database says of an error, through all that wraps it; undefined where it says nothing. */
function sqliteCode(error: unknown): string | undefined {
  for (const at of causesOf(error)) {
    const { extendedCode, code } = at as { extendedCode?: unknown; code?: unknown };
    for (const said of [extendedCode, code])
      if (typeof said === 'string' && said.startsWith('SQLITE_')) return `${said} ${kindOf(at.message)}`;
  }
  return undefined;
}

/** Which constraint it was, where a server of a database says so in words alone. */
const kindOf = (message: string): string =>
  /(UNIQUE|FOREIGN KEY) constraint failed/i.exec(message)?.[1].replace(' ', '').toUpperCase() ?? '';

/** Whether another program held the database; whether there was no room, or the disk fails. */
export const isBusy = (error: unknown): boolean => /BUSY|LOCKED/.test(sqliteCode(error) ?? '');
export const isFull = (error: unknown): boolean => /FULL|IOERR|READONLY/.test(sqliteCode(error) ?? '');

const NOBODY_THERE =
  /ECONNREFUSED|ECONNRESET|EPIPE|ENOTFOUND|EAI_AGAIN|UND_ERR|HRANA_|SERVER_ERROR|STREAM_EXPIRED/;
/** Whether a database on a server did not answer, or broke off. */
const isAway = (error: unknown): boolean =>
  [...causesOf(error)].some(
    (at) =>
      NOBODY_THERE.test(String((at as { code?: unknown }).code ?? '')) ||
      /fetch failed|Server returned HTTP status|Stream is closed/.test(at.message)
  );

/** What holds a database is mostly gone so soon, s. */
const BUSY_RETRY_S = 2;

/** What the database refused, as an answer with a sentence; undefined where it was no refusal of the database. */
export function databaseProblem(error: unknown): CommandProblem | undefined {
  const code = sqliteCode(error);
  const { idInUse, stillNeeded, notThere, diskFull, busy, away } = refusals.database;
  if (code === undefined) return isAway(error) ? new CommandProblem(away, {}, 503, BUSY_RETRY_S) : undefined;
  if (/UNIQUE|PRIMARYKEY/.test(code)) return new CommandProblem(idInUse, {}, 409);
  if (/FOREIGNKEY/.test(code)) return new CommandProblem(stillNeeded, {}, 409);
  if (/CONSTRAINT/.test(code)) return new CommandProblem(notThere, {}, 409);
  if (isFull(error)) return new CommandProblem(diskFull, {}, 507);
  return isBusy(error) ? new CommandProblem(busy, {}, 503, BUSY_RETRY_S) : undefined;
}
