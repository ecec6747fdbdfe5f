import { eq } from 'drizzle-orm';
import {
  commandSchemas,
  envelope,
  type CommandDone,
  type CommandName,
  type Payload
} from '../contract/commands.ts';
import type { Store } from './db.ts';
import { writeEvent, type Change } from './events.ts';
import { announce } from './live.ts';
import { CommandProblem, databaseProblem, fieldsProblem, FinishedProblem } from './problem.ts';
import { unseenIn } from '../contract/unseen.ts';
import { event } from './schema.ts';
import {
  addBlank,
  enterGauge,
  finishCylinder,
  keepFacts,
  readBlank,
  removeGauge,
  takeGauge,
  timeGauge,
  unreadBlank
} from './services/cylinders.ts';
import {
  addArea,
  addSite,
  editArea,
  editSite,
  importGround,
  removeArea,
  scaleSite,
  setBackdrop
} from './services/ground.ts';
import { addAmendment, removeAmendment } from './services/amendments.ts';
import {
  digHole,
  editHole,
  finishHole,
  measureHole,
  readHole,
  refillHole,
  removeHole,
  reopenHole,
  soakHole,
  unreadHole
} from './services/holes.ts';
import { addSpot, moveSpot, putSuggestedSpots, removeSpot, takeSpot } from './services/spots.ts';
import { addFolder, editFolder, removeFolder } from './services/folders.ts';
import { addFrames, removeFilm, startFilm } from './services/films.ts';
import {
  changeMethod,
  keepPrep,
  noteJar,
  planBench,
  prepareJar,
  readTop,
  setDown,
  shakeAgain,
  useOnJar,
  weighSoil
} from './services/jars.ts';
import {
  correctMark,
  correctZero,
  markLayer,
  passMark,
  removeMark,
  removeTop,
  setMarkHeight
} from './services/marks.ts';
import {
  retireBed,
  retireFigures,
  retireTechnique,
  saveBed,
  saveFigures,
  saveTechnique
} from './services/profiles.ts';
import { keepJudgement, removeJudgement } from './services/judgements.ts';
import { addReminder, doneReminder, endReminder } from './services/reminders.ts';
import { addLab, removeLab } from './services/lab.ts';
import { retireMethod, saveMethod } from './services/methods.ts';
import { addPhoto, removePhoto } from './services/photos.ts';
import { setProfile } from './services/profile.ts';
import {
  binTest,
  binTests,
  emptyBin,
  estimateAhead,
  finishTest,
  keepReading,
  reopenTest,
  restoreTest,
  restoreTests
} from './services/results.ts';
import { addSample, addVessel, editSample, mixSample, noteHand } from './services/samples.ts';
import { meetJar, turnToStood } from './services/stood.ts';
import {
  careTrial,
  editTrial,
  finishTrial,
  formTrial,
  keepPiece,
  planTrial,
  removePiece,
  removeTrial,
  reopenTrial,
  soakTrial
} from './services/trials.ts';
import type { Service } from './services/service.ts';
import { requireSeen } from './seen.ts';
import { requireState } from './states.ts';
import { keepView, removeView } from './services/views.ts';
import { undoEvent } from './services/undo.ts';
import { refusals } from '../words/refusals.ts';

const services: { [N in CommandName]: Service<N> } = {
  'lab.add': addLab,
  'lab.remove': removeLab,
  'site.add': addSite,
  'site.edit': editSite,
  'site.backdrop': setBackdrop,
  'site.scale': scaleSite,
  'area.add': addArea,
  'area.edit': editArea,
  'area.remove': removeArea,
  'spots.suggest': putSuggestedSpots,
  'spot.add': addSpot,
  'spot.move': moveSpot,
  'spot.take': takeSpot,
  'spot.remove': removeSpot,
  'ground.import': importGround,
  'hole.dig': digHole,
  'hole.edit': editHole,
  'hole.soak': soakHole,
  'hole.refill': refillHole,
  'hole.read': readHole,
  'hole.height': measureHole,
  'hole.unread': unreadHole,
  'hole.finish': finishHole,
  'hole.reopen': reopenHole,
  'hole.remove': removeHole,
  'amend.add': addAmendment,
  'amend.remove': removeAmendment,
  'judgement.keep': keepJudgement,
  'judgement.remove': removeJudgement,
  'bed.save': saveBed,
  'bed.retire': retireBed,
  'technique.save': saveTechnique,
  'technique.retire': retireTechnique,
  'figures.save': saveFigures,
  'figures.retire': retireFigures,
  'reminder.add': addReminder,
  'reminder.done': doneReminder,
  'reminder.end': endReminder,
  'trial.plan': planTrial,
  'trial.edit': editTrial,
  'trial.form': formTrial,
  'trial.care': careTrial,
  'trial.soak': soakTrial,
  'trial.finish': finishTrial,
  'trial.reopen': reopenTrial,
  'trial.remove': removeTrial,
  'piece.keep': keepPiece,
  'piece.remove': removePiece,
  'folder.add': addFolder,
  'folder.edit': editFolder,
  'folder.remove': removeFolder,
  'photo.add': addPhoto,
  'photo.remove': removePhoto,
  'sample.add': addSample,
  'sample.edit': editSample,
  'sample.hand': noteHand,
  'sample.mix': mixSample,
  'vessel.add': addVessel,
  'jar.prepare': prepareJar,
  'jar.prep': keepPrep,
  'bench.plan': planBench,
  'jar.stood': meetJar,
  'run.stood': turnToStood,
  'jar.set-down': setDown,
  'jar.mark': markLayer,
  'mark.height': setMarkHeight,
  'mark.correct': correctMark,
  'mark.remove': removeMark,
  'mark.pass': passMark,
  'run.zero': correctZero,
  'jar.top': readTop,
  'top.remove': removeTop,
  'film.start': startFilm,
  'film.frames': addFrames,
  'film.remove': removeFilm,
  'cylinder.facts': keepFacts,
  'gauge.take': takeGauge,
  'gauge.enter': enterGauge,
  'gauge.time': timeGauge,
  'gauge.remove': removeGauge,
  'blank.add': addBlank,
  'blank.read': readBlank,
  'blank.unread': unreadBlank,
  'cylinder.finish': finishCylinder,
  'jar.method': changeMethod,
  'jar.weigh': weighSoil,
  'jar.used': useOnJar,
  'jar.note': noteJar,
  'jar.shake-again': shakeAgain,
  'jar.read': keepReading,
  'test.finish': finishTest,
  'test.reopen': reopenTest,
  'test.bin': binTest,
  'test.restore': restoreTest,
  'tests.bin': binTests,
  'tests.restore': restoreTests,
  'bin.empty': emptyBin,
  'view.keep': keepView,
  'view.remove': removeView,
  'method.save': saveMethod,
  'method.retire': retireMethod,
  'profile.set': setProfile,
  undo: undoEvent
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
  const payload = commandSchemas[name].safeParse(outer.data.payload);
  if (!payload.success) throw fieldsProblem(payload.error.issues);
  if (at > now + FUTURE_SLACK_MS) {
    const message = refusals.common.timeInFuture;
    throw new CommandProblem(message, { at: message });
  }
  const answer =
    name === 'test.finish'
      ? await estimateAhead(store.db, payload.data as Payload<'test.finish'>)
      : undefined;
  const write = store.write(async (tx): Promise<CommandDone> => {
    const [before] = await tx.select().from(event).where(eq(event.id, commandId));
    if (before) return { eventId: before.id, testId: before.testId, code: codeOf(before.detail) };
    const call = { db: tx, commandId, at, now, device, answer };
    // The schema of `name` has just checked the payload its service takes.
    const service = services[name] as Service<CommandName>;
    const work = async () => {
      await requireState(tx, name, payload.data);
      if (seen) await requireSeen(tx, name, payload.data, seen);
      return service(call, payload.data as never);
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
