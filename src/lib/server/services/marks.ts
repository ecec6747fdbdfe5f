import { asc, eq } from 'drizzle-orm';
import { among } from '../among.ts';
import { LAYER_ORDER } from '../../core/index.ts';
import type { Reader } from '../db.ts';
import { added, changed, removed } from '../events.ts';
import { CommandProblem } from '../problem.ts';
import { gauge, mark, run, topReading } from '../schema.ts';
import { markOf, runOf, testRow, within, type MarkRow, type RunRow } from './guard.ts';
import type { Service, Services } from './service.ts';
import { refusals } from '../../words/refusals.ts';

/** Two presses of one mark on two devices lie this near each other, s, or a twentieth of the time that has gone. */
const SAME_MARK_S = 30;

const secondsAfter = (runRow: Pick<RunRow, 'setDownAt'>, at: number) =>
  Math.round((at - runRow.setDownAt) / 1000);

/** The mark that somebody else has just put on for the same layer, if any: both presses mean one line on the glass. */
async function sameMark(db: Reader, runRow: RunRow, layer: string, at: number, device?: string) {
  if (device === undefined) return undefined;
  const near = Math.max(SAME_MARK_S * 1000, (at - runRow.setDownAt) / 20);
  const marks = await db.select().from(mark).where(eq(mark.runId, runRow.id));
  return marks.find(
    (m) => m.layer === layer && m.device !== null && m.device !== device && Math.abs(m.at - at) <= near
  );
}

const markLayer: Service<'jar.mark'> = async ({ db, at, device }, p) => {
  const row = await testRow(db, p.testId);
  const runRow = await runOf(db, row, p.runId);
  if (at < runRow.setDownAt) {
    throw new CommandProblem(refusals.marks.markOlderThanSet);
  }
  const said = { code: row.code, layer: p.layer, seconds: secondsAfter(runRow, at), run: runRow.no };
  const same = await sameMark(db, runRow, p.layer, at, device);
  if (same) {
    const detail = { ...said, counted: 'once' };
    return { testId: p.testId, detail, changes: at < same.at ? [changed('mark', same, { at })] : [] };
  }
  const tape = { id: p.markId, runId: p.runId, layer: p.layer, at, device: device ?? null };
  return {
    testId: p.testId,
    detail: said,
    changes: [added('mark', { ...tape, heightMm: null, heightText: null })]
  };
};

const setMarkHeight: Service<'mark.height'> = async ({ db }, p) => {
  const row = await testRow(db, p.testId);
  const { tape } = await markOf(db, row, p.markId);
  if (p.height) await within(db, row, p.height.mm);
  return {
    testId: p.testId,
    detail: { code: row.code, layer: tape.layer, heightMm: p.height?.mm ?? null },
    changes: [changed('mark', tape, { heightMm: p.height?.mm ?? null, heightText: p.height?.text ?? null })]
  };
};

/** From set-down on it goes sand, silt, clay: a mark may not be put on the wrong side of another layer's. */
async function requireOrder(db: Reader, runRow: RunRow, tape: Pick<MarkRow, 'id' | 'layer' | 'at'>) {
  const rank = (layer: string) => LAYER_ORDER.findIndex((name) => name === layer);
  const others = (await db.select().from(mark).where(eq(mark.runId, runRow.id)).orderBy(asc(mark.at))).filter(
    (m) => m.id !== tape.id && m.layer !== tape.layer
  );
  const wrong = others.find((m) => (rank(m.layer) < rank(tape.layer) ? m.at >= tape.at : m.at <= tape.at));
  if (!wrong) return;
  const message = refusals.marks.wrongSideMark(wrong.layer);
  throw new CommandProblem(message, { time: message });
}

/** Gives a mark another layer, or the time it truly had. */
const correctMark: Service<'mark.correct'> = async ({ db, now }, p) => {
  const row = await testRow(db, p.testId);
  const { tape, runRow } = await markOf(db, row, p.markId);
  const next = { layer: p.layer ?? tape.layer, at: p.at ?? tape.at };
  const refuse = (message: string) => new CommandProblem(message, { time: message });
  if (next.at <= runRow.setDownAt) throw refuse(refusals.marks.markComesAfterSet);
  if (next.at > now) throw refuse(refusals.marks.markedInFuture);
  if (runRow.endedAt !== null && next.at > runRow.endedAt) {
    throw refuse(refusals.marks.runHadEndedThen);
  }
  await requireOrder(db, runRow, { ...next, id: tape.id });
  return {
    testId: p.testId,
    detail: {
      code: row.code,
      layer: next.layer,
      seconds: secondsAfter(runRow, next.at),
      ...(next.layer === tape.layer ? {} : { wasLayer: tape.layer }),
      ...(next.at === tape.at ? {} : { wasSeconds: secondsAfter(runRow, tape.at) })
    },
    changes: [changed('mark', tape, next)]
  };
};

/** Takes a mark off that was none; what it was stays in the record of events. */
const removeMark: Service<'mark.remove'> = async ({ db }, p) => {
  const row = await testRow(db, p.testId);
  const { tape, runRow } = await markOf(db, row, p.markId);
  return {
    testId: p.testId,
    detail: {
      code: row.code,
      layer: tape.layer,
      seconds: secondsAfter(runRow, tape.at),
      heightMm: tape.heightMm
    },
    changes: [removed('mark', tape)]
  };
};

/** Passes a missed mark over, or takes that back. */
const passMark: Service<'mark.pass'> = async ({ db }, { testId, runId, layer, passed }) => {
  const row = await testRow(db, testId);
  const runRow = await runOf(db, row, runId);
  const others = runRow.passed.filter((name) => name !== layer);
  return {
    testId,
    detail: { code: row.code, layer, passed: passed ? 'yes' : null },
    changes: [changed('run', runRow, { passed: passed ? [...others, layer] : others })]
  };
};

/** Corrects the moment a run counts from. Nothing that was pressed may come before it. */
const correctZero: Service<'run.zero'> = async ({ db, now }, { testId, runId, setDownAt, why }) => {
  const row = await testRow(db, testId);
  const runRow = await runOf(db, row, runId);
  const refuse = (message: string) => new CommandProblem(message, { setDownAt: message });
  if (setDownAt > now) throw refuse(refusals.marks.setDownInFuture);
  const pressed = (
    await Promise.all(
      [mark, topReading, gauge].map((table) =>
        db
          .select({ at: table.at })
          .from(table)
          .where(among(table.runId, [runId]))
      )
    )
  ).flat();
  if (pressed.some(({ at }) => at <= setDownAt)) {
    throw refuse(refusals.marks.somethingMarkedReadBefore);
  }
  const before = (await db.select().from(run).where(eq(run.testId, testId))).filter((r) => r.no < runRow.no);
  if (before.some((r) => r.endedAt !== null && r.endedAt > setDownAt)) {
    throw refuse(refusals.marks.runBeforeStillThen);
  }
  return {
    testId,
    detail: { code: row.code, why, byS: secondsAfter(runRow, setDownAt), run: runRow.no },
    changes: [changed('run', runRow, { setDownAt, stood: null })]
  };
};

/** Takes a reading of the top off that was none. */
const removeTop: Service<'top.remove'> = async ({ db }, { testId, topId }) => {
  const row = await testRow(db, testId);
  const [top] = await db.select().from(topReading).where(eq(topReading.id, topId));
  const [runRow] = top ? await db.select().from(run).where(eq(run.id, top.runId)) : [];
  if (!runRow || runRow.testId !== testId) {
    throw new CommandProblem(refusals.marks.readingGone, {}, 404);
  }
  return {
    testId,
    detail: { code: row.code, heightMm: top.heightMm, seconds: secondsAfter(runRow, top.at) },
    changes: [removed('topReading', top)]
  };
};

export const markServices = {
  'jar.mark': markLayer,
  'mark.height': setMarkHeight,
  'mark.correct': correctMark,
  'mark.remove': removeMark,
  'mark.pass': passMark,
  'run.zero': correctZero,
  'top.remove': removeTop
} satisfies Partial<Services>;
