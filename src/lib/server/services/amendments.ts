import { eq } from 'drizzle-orm';
import { refusals } from '../../words/refusals.ts';
import { added, removed } from '../events.ts';
import { isDayAhead } from '../clock.ts';
import { beside, found } from '../problem.ts';
import { amendment, area } from '../schema.ts';
import type { Service, Services } from './service.ts';

/** Keeps what was put on or into an area. */
const addAmendment: Service<'amend.add'> = async ({ db, at, now }, { amendmentId, ...fields }) => {
  const ground = found((await db.select().from(area).where(eq(area.id, fields.areaId)))[0], 'This area');
  if (isDayAhead(fields.doneOn, now)) throw beside('doneOn', refusals.beds.dayAhead);
  return {
    testId: null,
    detail: { code: ground.code, kind: fields.kind },
    changes: [added('amendment', { id: amendmentId, ...fields, createdAt: at })]
  };
};

const removeAmendment: Service<'amend.remove'> = async ({ db }, { amendmentId }) => {
  const [row] = await db.select().from(amendment).where(eq(amendment.id, amendmentId));
  const gone = found(row, 'This entry');
  return { testId: null, detail: { kind: gone.kind }, changes: [removed('amendment', gone)] };
};

export const amendmentServices = {
  'amend.add': addAmendment,
  'amend.remove': removeAmendment
} satisfies Partial<Services>;
