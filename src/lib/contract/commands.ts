import { z } from 'zod';
import { bedCommands } from './commands/beds.ts';
import { cylinderCommands } from './commands/cylinders.ts';
import { folderCommands } from './commands/folders.ts';
import { groundCommands } from './commands/ground.ts';
import { jarCommands } from './commands/jars.ts';
import { judgementCommands } from './commands/judgements.ts';
import { methodCommands } from './commands/methods.ts';
import { sampleCommands } from './commands/samples.ts';
import { trialCommands } from './commands/trials.ts';
import { defineCommand, type Definition } from './commands/define.ts';
import { at, id, ref } from './commands/values.ts';
import { isLetterhead, LETTERHEAD } from '../words/profile.ts';
import { refusals } from '../words/refusals.ts';
import { viewCommands } from './commands/views.ts';

const profileFields = z.object({
  length: z.enum(['mm', 'cm', 'in']),
  temperature: z.enum(['C', 'F']),
  volume: z.enum(['L', 'gal']),
  clock: z.enum(['24', '12']),
  theme: z.enum(['day', 'night', 'device']),
  sound: z.enum(['off', 'knock', 'bell', 'reed']),
  spoken: z.enum(['on', 'off']),
  notices: z.enum(['on', 'off']),
  quietFrom: z.number().int().min(0).max(1439),
  quietTo: z.number().int().min(0).max(1439),
  letterhead: z
    .string()
    .trim()
    .max(LETTERHEAD.letters, refusals.jars.keepUnder300Letters)
    .refine(isLetterhead, LETTERHEAD.tooLong)
});

/**
 * Everything that can be done, by name. The browser makes the ids, so that a command which was sent twice is done once, and one that
 * was made offline can be drawn before the server knows of it.
 */
export const commands = {
  ...groundCommands,
  ...bedCommands,
  ...judgementCommands,
  ...trialCommands,
  ...folderCommands,
  ...sampleCommands,
  ...jarCommands,
  ...cylinderCommands,
  ...methodCommands,
  ...viewCommands,
  'profile.set': defineCommand(profileFields.partial()),
  undo: defineCommand(z.object({ eventId: ref }), { undo: false })
} as const;

export type CommandName = keyof typeof commands;
type Body<N extends CommandName> = (typeof commands)[N]['body'];
export type Payload<N extends CommandName> = z.output<Body<N>>;
export type PayloadInput<N extends CommandName> = z.input<Body<N>>;

export const commandNames = Object.keys(commands) as CommandName[];

export const isCommandName = (name: string): name is CommandName => Object.hasOwn(commands, name);

/** What is known of a command, whichever it is. */
export const definitionOf = (name: CommandName): Definition => commands[name] as Definition;

/** What goes over the wire with every command. */
export const envelope = z.object({
  /** Made by the sender; a second arrival with the same id is answered like the first. */
  commandId: id,
  /** When it happened, ms UTC, by the sender's clock corrected to the server's. */
  at,
  /** The device it was made on, by an id that the device keeps. */
  device: id.optional(),
  payload: z.unknown(),
  /** Of an edit: the record as it was when it was opened, so that nobody's change goes unseen. */
  seen: z.record(z.string(), z.unknown()).optional()
});

/** A command as it lies in the queue of a browser, and why it was refused if it was. */
export const queuedCommand = envelope.extend({
  commandId: z.string().min(1),
  name: z.enum(commandNames),
  payload: z.record(z.string(), z.unknown()),
  /** Grows with each that was written down. */
  no: z.number().optional(),
  refused: z.string().optional()
});

/** A command as it waits in the browser. */
export type Command<N extends CommandName = CommandName> = {
  commandId: string;
  at: number;
  device?: string;
  name: N;
  payload: PayloadInput<N>;
  seen?: Record<string, unknown>;
};

/** What somebody else made of a record meanwhile: who, when, and each field that differs as it is now. */
export type Meanwhile = { who: string; at: number; now: Record<string, unknown> };

/** What a failed command answers: a sentence beside each field, or one for the whole. */
export type CommandFailure = { message: string; fields: Record<string, string>; meanwhile?: Meanwhile };

/** What a done command answers. */
export type CommandDone = { eventId: string; testId: string | null; code?: string };
