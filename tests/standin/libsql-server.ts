import { createServer, type IncomingMessage } from 'node:http';
import { randomUUID } from 'node:crypto';
import Database from 'libsql';

/**
 * A stand-in for a libSQL server, for tests: it speaks the Hrana protocol over HTTP (version 2, JSON) over a libSQL file. No binary of
 * the real one can be had from the package registries. As the real one does, it lets a transaction that nobody goes on with go after
 * five seconds, and answers with the plain codes of SQLite.
 *
 * node --import tsx tests/standin/libsql-server.ts FILE PORT
 */

type Value = {
  type: 'null' | 'integer' | 'float' | 'text' | 'blob';
  value?: string | number;
  base64?: string;
};
type Stmt = { sql?: string; sql_id?: number; args?: Value[]; named_args?: { name: string; value: Value }[] };
type Cond = {
  type: 'ok' | 'error' | 'not' | 'and' | 'or' | 'is_autocommit';
  step?: number;
  cond?: Cond;
  conds?: Cond[];
};
type Request = {
  type: 'execute' | 'batch' | 'sequence' | 'describe' | 'close' | 'store_sql' | 'close_sql';
  stmt?: Stmt;
  sql?: string;
  sql_id?: number;
  batch?: { steps: { stmt: Stmt; condition?: Cond | null }[] };
};

/** A transaction that nobody goes on with is let go after so long, ms. */
const IDLE_MS = 5000;

const [file, port] = process.argv.slice(2);

/** One stream of a client: a connection of its own, which may be within a transaction. */
class Stream {
  readonly baton = randomUUID();
  readonly db = new Database(file, { timeout: 5000 });
  idle: ReturnType<typeof setTimeout> | undefined;
  /** Statements that the client has stored, by its number for them. */
  readonly stored = new Map<number, string>();

  sqlOf({ sql, sql_id }: { sql?: string; sql_id?: number }): string {
    return sql ?? this.stored.get(sql_id ?? -1) ?? '';
  }

  close(): void {
    clearTimeout(this.idle);
    streams.delete(this.baton);
    if (this.db.inTransaction) this.db.exec('rollback');
    this.db.close();
    release(this);
  }
}

const streams = new Map<string, Stream>();
/** The stream that holds the file to write; the driver would hold up all others while it waits for it. */
let holder: Stream | undefined;
const waiting: (() => void)[] = [];

function release(stream: Stream): void {
  if (holder !== stream) return;
  holder = undefined;
  waiting.shift()?.();
}

async function hold(stream: Stream): Promise<void> {
  while (holder && holder !== stream) await new Promise<void>((resolve) => waiting.push(resolve));
  holder = stream;
}

const reads = (sql: string) => /^\s*(select|explain|pragma\s+\w+\s*(\(|;|$)|with\b[^;]*\bselect)/i.test(sql);
/** The statements of a request, as far as they are known before it is done. */
const sqlsOf = ({ type, stmt, sql, batch }: Request, stream: Stream): string[] =>
  [
    ...(stmt ? [stream.sqlOf(stmt)] : []),
    ...(sql ? [sql] : []),
    ...(batch?.steps.map((step) => stream.sqlOf(step.stmt)) ?? [])
  ].filter((one) => one !== '' || type !== 'store_sql');

function toNative({ type, value, base64 }: Value): unknown {
  if (type === 'null') return null;
  if (type === 'integer') return BigInt(value as string);
  return type === 'blob' ? Buffer.from(base64 ?? '', 'base64') : value;
}

function fromNative(value: unknown): Value {
  if (value === null || value === undefined) return { type: 'null' };
  if (typeof value === 'bigint') return { type: 'integer', value: String(value) };
  if (typeof value === 'number')
    return Number.isInteger(value) ? { type: 'integer', value: String(value) } : { type: 'float', value };
  if (typeof value === 'string') return { type: 'text', value };
  return { type: 'blob', base64: Buffer.from(value as Uint8Array).toString('base64') };
}

function execute(stream: Stream, stmt: Stmt) {
  const { args = [], named_args = [] } = stmt;
  const statement = stream.db.prepare(stream.sqlOf(stmt));
  // As the driver takes them: by name in an object, else in turn in a list.
  const bound =
    named_args.length > 0
      ? Object.fromEntries(named_args.map(({ name, value }) => [name.replace(/^[:@$]/, ''), toNative(value)]))
      : args.map(toNative);
  let cols: { name: string }[] = [];
  try {
    cols = statement.columns();
  } catch {
    // It answers with no rows.
  }
  if (cols.length === 0) {
    const { changes, lastInsertRowid } = statement.run(bound);
    return { cols: [], rows: [], affected_row_count: changes, last_insert_rowid: String(lastInsertRowid) };
  }
  const rows = statement.raw(true).all(bound) as unknown[][];
  return {
    cols: cols.map(({ name }) => ({ name })),
    rows: rows.map((row) => row.map(fromNative)),
    affected_row_count: 0,
    last_insert_rowid: null
  };
}

function problemOf(problem: unknown) {
  const { message, code = 'SQLITE_ERROR' } = problem as { message: string; code?: string };
  return { message: `SQLite error: ${message}`, code: /^SQLITE_[A-Z]+/.exec(code)?.[0] ?? code };
}

type Result = ReturnType<typeof execute>;

function holds(cond: Cond, db: Database.Database, results: (Result | null)[], errors: unknown[]): boolean {
  const { type, step = -1, conds = [] } = cond;
  if (type === 'ok') return results[step] !== null && results[step] !== undefined;
  if (type === 'error') return errors[step] !== null && errors[step] !== undefined;
  if (type === 'not') return !holds(cond.cond!, db, results, errors);
  if (type === 'and') return conds.every((one) => holds(one, db, results, errors));
  if (type === 'or') return conds.some((one) => holds(one, db, results, errors));
  return !db.inTransaction;
}

function respond(stream: Stream, request: Request): object {
  const { db } = stream;
  const ok = (response: object) => ({ type: 'ok', response: { type: request.type, ...response } });
  try {
    if (request.type === 'execute') return ok({ result: execute(stream, request.stmt!) });
    if (request.type === 'store_sql') stream.stored.set(request.sql_id!, request.sql!);
    if (request.type === 'close_sql') stream.stored.delete(request.sql_id!);
    if (request.type === 'sequence') db.exec(stream.sqlOf(request));
    if (request.type !== 'batch') return ok({});
    const results: (Result | null)[] = [];
    const errors: unknown[] = [];
    for (const { stmt, condition } of request.batch!.steps) {
      let [result, error]: [Result | null, unknown] = [null, null];
      if (!condition || holds(condition, db, results, errors)) {
        try {
          result = execute(stream, stmt);
        } catch (problem) {
          error = problemOf(problem);
        }
      }
      results.push(result);
      errors.push(error);
    }
    return ok({ result: { step_results: results, step_errors: errors } });
  } catch (problem) {
    return { type: 'error', error: problemOf(problem) };
  }
}

async function bodyOf(request: IncomingMessage): Promise<string> {
  let text = '';
  for await (const part of request.setEncoding('utf8')) text += part as string;
  return text;
}

async function pipeline(body: { baton: string | null; requests: Request[] }) {
  const stream = body.baton ? streams.get(body.baton) : new Stream();
  if (!stream) return undefined;
  streams.set(stream.baton, stream);
  clearTimeout(stream.idle);
  if (!body.requests.flatMap((request) => sqlsOf(request, stream)).every(reads)) await hold(stream);
  const results: object[] = [];
  let closed = false;
  for (const request of body.requests) {
    if (request.type === 'close') closed = true;
    else results.push(respond(stream, request));
    if (request.type === 'close') results.push({ type: 'ok', response: { type: 'close' } });
  }
  if (closed) stream.close();
  else {
    if (!stream.db.inTransaction) release(stream);
    stream.idle = setTimeout(() => stream.close(), IDLE_MS);
  }
  return { baton: closed ? null : stream.baton, base_url: null, results };
}

const server = createServer((request, response) => {
  const answer = async () => {
    if (request.url === '/health') return response.end('ok');
    if (request.url !== '/v2/pipeline') return response.writeHead(404).end();
    const done = await pipeline(JSON.parse(await bodyOf(request)) as Parameters<typeof pipeline>[0]);
    if (!done) return response.writeHead(400, { 'content-type': 'text/plain' }).end('the stream has expired');
    return response.writeHead(200, { 'content-type': 'application/json' }).end(JSON.stringify(done));
  };
  answer().catch((problem: Error) =>
    response.writeHead(500, { 'content-type': 'text/plain' }).end(problem.message)
  );
});
new Database(file).exec('pragma journal_mode = wal');
server.listen(Number(port), '127.0.0.1', () => console.log(`Stand-in for a libSQL server on port ${port}`));
