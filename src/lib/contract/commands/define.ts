import type { z } from 'zod';
import type { Rule } from './states.ts';

/**
 * All that is known of a command but what it does, which is its service on the server: its route, the checks of forms and of
 * programs, roles, the table of states, undo and edits are drawn from this.
 */
export type Definition<B extends z.ZodType = z.ZodType> = {
  /** What it is sent with. */
  body: B;
  /** Who does it, and everybody above. */
  who: 'helper' | 'keeper';
  /** In which states of what it is about; null where it is about none of those, or may be done at any time. */
  states: Rule | null;
  /** Whether it can be taken back for a while. */
  undo: boolean;
  /** Of an edit of a whole record: which one, so that nobody's change is written over unseen. */
  edits: { table: EditedTable; id: keyof z.input<B> & string } | null;
};

export type EditedTable = 'sample' | 'area' | 'site' | 'hole' | 'trial' | 'folder';

/** Defines a command: done by helpers at any time, and taken back within a minute, unless it is said otherwise. */
export const defineCommand = <B extends z.ZodType>(
  body: B,
  o: Partial<Omit<Definition<B>, 'body'>> = {}
): Definition<B> => ({ body, who: 'helper', states: null, undo: true, edits: null, ...o });
