import { ulid } from 'ulid';
import type {
  Command,
  CommandDone,
  CommandFailure,
  CommandName,
  Meanwhile,
  PayloadInput
} from '../contract/commands.ts';
import { mayWait } from '../contract/waiting.ts';
import { t } from '../words/index.ts';
import { correctedNow } from './clock.svelte.ts';
import { deviceId } from './device.ts';
import { lookAgain } from './look-again.ts';
import { allBoxed, dropBoxed, keepBoxed, type Boxed } from './outbox-store.ts';

/** A command the server would not take, or that could not be sent: a sentence, and one beside each field. */
export class CommandRefused extends Error {
  readonly fields: Record<string, string>;
  /** What somebody else made of it meanwhile. */
  readonly meanwhile?: Meanwhile;

  constructor(failure: CommandFailure) {
    super(failure.message);
    this.name = 'CommandRefused';
    this.fields = failure.fields;
    this.meanwhile = failure.meanwhile;
  }
}

/** What happened to a command: done by the server, or kept here until it can be sent. */
export type Sent = { done: true; answer: CommandDone } | { done: false; commandId: string };

/** A command that waited and was then refused: kept with its time until somebody has read why. */
export type Refusal = { command: Command; message: string };

/**
 * Answers that judge the command itself: what is wrong with it stays wrong. Any other failure is the way there (the passphrase, the
 * host, too many at once, a full disk), and the command goes on waiting.
 */
const WAITS = new Set([401, 403, 408, 421, 425, 429]);
const isJudged = (status: number) => status >= 400 && status < 500 && !WAITS.has(status);

const RETRY_MS = 3000;
/** A way that swallows what is sent answers nothing for minutes: what may wait is sent again after this long, and counts once, ms. */
const PATIENCE_MS = 8000;

// Whole lists are put in place of each other, and what is in them goes to disk as it is: a wrapped one could not.
let waiting = $state.raw<Command[]>([]);
let refusals = $state.raw<Refusal[]>([]);
let unreadable = $state(0);
let reachable = $state(true);
let unkept = $state(false);
let flushing: Promise<void> | undefined;
/** Who waits for the outcome of which command. */
const senders = new Map<string, (outcome: Delivery) => void>();
let retry: ReturnType<typeof setTimeout> | undefined;

export const outbox = {
  /** Commands not yet known to the server, oldest first. */
  get waiting() {
    return waiting;
  },
  get refusals() {
    return refusals;
  },
  /** How many entries in the queue nobody can read any more; they stay where they are. */
  get unreadable() {
    return unreadable;
  },
  get reachable() {
    return reachable;
  },
  /** Whether this browser keeps nothing: what is pressed is sent all the same, and lost where the page goes before it could be. */
  get unkept() {
    return unkept;
  }
};

type Delivery =
  { kind: 'done'; answer: CommandDone } | { kind: 'refused'; failure: CommandFailure } | { kind: 'away' };

async function deliver(command: Command, signal?: AbortSignal): Promise<Delivery> {
  const { name, ...envelope } = command;
  try {
    const response = await fetch(`/api/v1/commands/${name}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(envelope),
      signal
    });
    if (response.ok) return { kind: 'done', answer: (await response.json()) as CommandDone };
    const failure = (await response.json().catch(() => ({}))) as Partial<CommandFailure>;
    // By the role of whoever sends it: that too stays as it is.
    const byRole = response.status === 403 && failure.fields !== undefined;
    if (!isJudged(response.status) && !byRole) return { kind: 'away' };
    return {
      kind: 'refused',
      failure: { message: failure.message ?? t.outbox.failed, fields: {}, ...failure }
    };
  } catch {
    return { kind: 'away' };
  }
}

/**
 * Sends a command. What may wait is written down in this browser first, so that a press is never lost; the rest
 * fails with a sentence when the server cannot be reached.
 *
 * @param at when it happened, ms UTC: now, unless it is typed in afterwards
 * @param seen of an edit, the record as it was when it was opened
 * @throws {CommandRefused} when the server does not take it
 */
export async function send<N extends CommandName>(
  name: N,
  payload: PayloadInput<N>,
  at: number = correctedNow(),
  seen?: object
): Promise<Sent> {
  // A plain copy: what comes from a form is wrapped by the framework and cannot be stored.
  const plain = JSON.parse(JSON.stringify(payload)) as PayloadInput<N>;
  const command: Command = { commandId: ulid(), at, device: deviceId(), name, payload: plain };
  if (!mayWait(name)) {
    const outcome = await deliver(seen ? { ...command, seen: JSON.parse(JSON.stringify(seen)) } : command);
    if (outcome.kind === 'away') throw new CommandRefused({ message: t.outbox.unreachable, fields: {} });
    if (outcome.kind === 'refused') throw new CommandRefused(outcome.failure);
    await lookAgain().catch(() => {});
    return { done: true, answer: outcome.answer };
  }
  // On disk before it is in the queue: a flush that is under way may send it at once and strike it off again.
  unkept = await keepBoxed(command).then(
    () => false,
    () => true
  );
  waiting = [...waiting, command];
  const outcome = await new Promise<Delivery>((resolve) => {
    senders.set(command.commandId, resolve);
    void flush();
  });
  senders.delete(command.commandId);
  if (outcome.kind === 'refused') throw new CommandRefused(outcome.failure);
  if (outcome.kind === 'done') return { done: true, answer: outcome.answer };
  return { done: false, commandId: command.commandId };
}

/** Strikes an entry off; one that a browser will not let go is sent once more later, which counts once. */
const struckOff = (commandId: string): Promise<void> => dropBoxed(commandId).catch(() => {});

/** Drops a command that has not been sent; false if it is gone already. */
export async function withdraw(commandId: string): Promise<boolean> {
  if (!waiting.some((c) => c.commandId === commandId)) return false;
  waiting = waiting.filter((c) => c.commandId !== commandId);
  await struckOff(commandId);
  return true;
}

/** Sends what waits, oldest first, until the server is away. One flush runs at a time. */
export async function flush(): Promise<void> {
  while (flushing) await flushing;
  flushing = sendWaiting();
  try {
    await flushing;
  } finally {
    flushing = undefined;
  }
}

async function sendWaiting(): Promise<void> {
  clearTimeout(retry);
  while (waiting.length > 0) {
    const command = waiting[0];
    const outcome = await deliver(command, AbortSignal.timeout(PATIENCE_MS));
    reachable = outcome.kind !== 'away';
    if (outcome.kind === 'away') {
      for (const resolve of senders.values()) resolve(outcome);
      retry = setTimeout(() => void flush(), RETRY_MS);
      return;
    }
    const sender = senders.get(command.commandId);
    // Nobody waits for it any more: it stays in the box, and is shown by itself.
    if (outcome.kind === 'refused' && !sender) {
      const { message } = outcome.failure;
      refusals = [...refusals, { command, message }];
      await keepBoxed({ ...command, refused: message }).catch(() => {});
    } else {
      await struckOff(command.commandId);
    }
    // The page learns of it before it leaves the queue, so that a mark never flickers off the glass.
    await lookAgain().catch(() => {});
    waiting = waiting.filter((c) => c.commandId !== command.commandId);
    sender?.(outcome);
  }
}

/** Forgets a refusal once it has been read. */
export async function dismissRefusal({ command }: Refusal): Promise<void> {
  refusals = refusals.filter((r) => r.command.commandId !== command.commandId);
  await struckOff(command.commandId);
}

/** What lies in the queue, as far as it can be read: an older page, or another hand, may have written it. */
async function readBox(): Promise<Boxed[]> {
  const found = await allBoxed().catch((): unknown[] => []);
  if (found.length === 0) return [];
  const { queuedCommand } = await import('../contract/commands.ts');
  const read = found.filter((entry): entry is Boxed => queuedCommand.safeParse(entry).success);
  unreadable = found.length - read.length;
  return read;
}

/** Takes up what an earlier page left waiting, and tries again whenever the network comes back. */
export async function startOutbox(): Promise<() => void> {
  const boxed = await readBox();
  refusals = boxed.flatMap(({ refused, no: _, ...command }) =>
    refused ? [{ command, message: refused }] : []
  );
  const left = boxed.flatMap(({ refused, no: _, ...command }) => (refused ? [] : [command]));
  const known = new Set(waiting.map((c) => c.commandId));
  waiting = [...left.filter((c) => !known.has(c.commandId)), ...waiting];
  const online = () => void flush();
  window.addEventListener('online', online);
  void flush();
  return () => window.removeEventListener('online', online);
}
