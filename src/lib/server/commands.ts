import { eq } from 'drizzle-orm';
import { definitionOf, envelope, type CommandDone, type CommandName } from '../contract/commands.ts';
import type { Store } from './db.ts';
import { writeEvent, type Change } from './events.ts';
import { announce } from './live.ts';
import { CommandProblem, databaseProblem, fieldsProblem, FinishedProblem } from './problem.ts';
import { unseenIn } from '../contract/unseen.ts';
import { event } from './schema.ts';
import { amendmentServices } from './services/amendments.ts';
import { cylinderServices } from './services/cylinders.ts';
import { filmServices } from './services/films.ts';
import { folderServices } from './services/folders.ts';
import { groundServices } from './services/ground.ts';
import { holeServices } from './services/holes.ts';
import { jarServices } from './services/jars.ts';
import { judgementServices } from './services/judgements.ts';
import { labServices } from './services/lab.ts';
import { markServices } from './services/marks.ts';
import { methodServices } from './services/methods.ts';
import { photoServices } from './services/photos.ts';
import { profileServices } from './services/profile.ts';
import { profilesServices } from './services/profiles.ts';
import { reminderServices } from './services/reminders.ts';
import { resultServices } from './services/results.ts';
import { sampleServices } from './services/samples.ts';
import { spotServices } from './services/spots.ts';
import { stoodServices } from './services/stood.ts';
import { trialServices } from './services/trials.ts';
import { undoServices } from './services/undo.ts';
import { viewServices } from './services/views.ts';
import type { Prepared, Service, Services } from './services/service.ts';
import { requireSeen } from './seen.ts';
import { requireState } from './states.ts';
import { refusals } from '../words/refusals.ts';

/** What does each command. */
const services: Services = {
  ...amendmentServices,
  ...cylinderServices,
  ...filmServices,
  ...folderServices,
  ...groundServices,
  ...holeServices,
  ...jarServices,
  ...judgementServices,
  ...labServices,
  ...markServices,
  ...methodServices,
  ...photoServices,
  ...profileServices,
  ...profilesServices,
  ...reminderServices,
  ...resultServices,
  ...sampleServices,
  ...spotServices,
  ...stoodServices,
  ...trialServices,
  ...undoServices,
  ...viewServices
};

/** How far ahead of the server a device may be before its time is refused, ms. */
const FUTURE_SLACK_MS = 5000;

/**
 * Does a command: checks it, lets its service work out the rows, and writes them with their event in one
 * transaction. A command that arrives twice is done once and answered the same way.
 *
 * @param body the envelope as it came in
 * @param now the server's time, ms UTC
 * @throws {CommandProblem} with what to do about it
 */
export async function runCommand(
  store: Store,
  name: CommandName,
  body: unknown,
  who: string,
  now: number
): Promise<CommandDone> {
  const unseen = unseenIn(body);
  if (unseen) throw new CommandProblem(refusals.sentences.control, { [unseen]: refusals.sentences.control });
  const outer = envelope.safeParse(body);
  if (!outer.success) throw fieldsProblem(outer.error.issues);
  const { commandId, at, device, seen } = outer.data;
  const payload = definitionOf(name).body.safeParse(outer.data.payload);
  if (!payload.success) throw fieldsProblem(payload.error.issues);
  if (at > now + FUTURE_SLACK_MS) {
    const message = refusals.common.timeInFuture;
    throw new CommandProblem(message, { at: message });
  }
  // The schema of `name` has just checked the payload that its service takes.
  const service = services[name] as Prepared<CommandName> | Service<CommandName>;
  const { prepare, apply } = typeof service === 'function' ? { prepare: undefined, apply: service } : service;
  const answer = await prepare?.(store.db, payload.data as never);
  const write = store.write(async (tx): Promise<CommandDone> => {
    const [before] = await tx.select().from(event).where(eq(event.id, commandId));
    if (before && before.what !== name) throw new CommandProblem(refusals.database.idInUse, {}, 409);
    if (before) return { eventId: before.id, testId: before.testId, code: codeOf(before.detail) };
    const call = { db: tx, commandId, at, now, device, answer };
    const work = async () => {
      await requireState(tx, name, payload.data as object);
      if (seen) await requireSeen(tx, name, payload.data, seen);
      return apply(call, payload.data as never);
    };
    const change = await unlessFinished(work, call, payload.data);
    await writeEvent(tx, { id: commandId, at, receivedAt: now, who, what: name }, change);
    return { eventId: commandId, testId: change.testId, code: codeOf(change.detail ?? {}) };
  });
  const done = await write.catch((error: unknown): never => {
    throw databaseProblem(error) ?? error;
  });
  announce({ what: name, testId: done.testId }, done.eventId);
  return done;
}

/** A press older than this when it comes in had waited on its device, ms. */
const WAITED_MS = 10_000;

/**
 * What a service answers; where the test is finished and the press had waited on a device, which could not know, a note of
 * it in place of the change.
 */
async function unlessFinished(
  work: () => Promise<Change>,
  { at, now }: { at: number; now: number },
  payload: unknown
): Promise<Change> {
  try {
    return await work();
  } catch (problem) {
    if (!(problem instanceof FinishedProblem)) throw problem;
    const { id, code, finishedAt } = problem.test;
    if (now - at < WAITED_MS && at >= (finishedAt ?? 0)) throw problem;
    const { layer } = payload as { layer?: string };
    return { testId: id, detail: { code, after: 'finished', ...(layer ? { layer } : {}) }, changes: [] };
  }
}

function codeOf(detail: Record<string, unknown>): string | undefined {
  return typeof detail.code === 'string' ? detail.code : undefined;
}
