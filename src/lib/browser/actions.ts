import { ulid } from 'ulid';
import type { CommandName, PayloadInput } from '../contract/commands.ts';
import type { EndReason } from '../contract/records/run.ts';
import type { JarRecord } from '../contract/records/jar.ts';
import { t } from '../words/index.ts';
import { CommandRefused, send, withdraw, type Sent } from './outbox.svelte.ts';
import { say, sayProblem, sayUndoable } from './toasts.ts';

/** The sentence to show for anything that went wrong. */
export function problemText(problem: unknown): string {
  return problem instanceof CommandRefused ? problem.message : t.outbox.failed;
}

/** Takes a sent command back: out of the queue if it still waits, else by an undo on the server. */
async function takeBack(sent: Sent, leave: (() => Promise<void>) | undefined): Promise<void> {
  try {
    if (!sent.done && (await withdraw(sent.commandId))) {
      say(t.common.undone);
      return;
    }
    // Off the page that is about to lose its subject, before it does.
    await leave?.();
    await send('undo', { eventId: sent.done ? sent.answer.eventId : sent.commandId });
    say(t.common.undone);
  } catch (problem) {
    sayProblem(problemText(problem));
  }
}

/**
 * Says what was recorded and offers undo.
 * @param leave where to go before undoing, if the page stands on what goes
 */
export function offerUndo(sent: Sent, words: string, leave?: () => Promise<void>): void {
  sayUndoable(words, t.common.undo, () => void takeBack(sent, leave));
}

/**
 * Sends a command that records something, says so, and offers undo.
 * @param at when it was, ms UTC, where it is told afterwards
 * @returns whether it was taken (or kept to be sent)
 */
export async function record<N extends CommandName>(
  name: N,
  payload: PayloadInput<N>,
  words: string,
  at?: number
): Promise<boolean> {
  try {
    offerUndo(await send(name, payload, at), words);
    return true;
  } catch (problem) {
    sayProblem(problemText(problem));
    return false;
  }
}

/** Stands the jar: time zero is now. */
export function setDown(jar: JarRecord): Promise<boolean> {
  return record('jar.set-down', { testId: jar.id, runId: ulid() }, t.done['jar.set-down'](jar.code));
}

/** Ends the run and keeps it; the jar waits to be set down again. */
export function shakeAgain(jar: JarRecord, reason: EndReason): Promise<boolean> {
  if (!jar.run) return Promise.resolve(false);
  const payload = { testId: jar.id, runId: jar.run.id, reason };
  return record('jar.shake-again', payload, t.done['jar.shake-again'](jar.code));
}
