import { z } from 'zod';
import { refusals } from '../../words/refusals.ts';
import { defineCommand } from './define.ts';
import { id, ref } from './values.ts';

/** Views of the log, kept by a name. */
export const viewCommands = {
  'view.keep': defineCommand(
    z.object({
      viewId: id,
      name: z.string().trim().min(1, refusals.views.nameIt).max(60, refusals.judgements.nameUnder60),
      /** What the address of the log asks for. */
      query: z.string().max(900, refusals.views.tooLong)
    })
  ),
  'view.remove': defineCommand(z.object({ viewId: ref }))
} as const;
