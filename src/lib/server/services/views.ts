import { eq } from 'drizzle-orm';
import { refusals } from '../../words/refusals.ts';
import { logAddress, readLogAddress } from '../../workbench/find.ts';
import { added, removed } from '../events.ts';
import { beside, found } from '../problem.ts';
import { logView } from '../schema.ts';
import type { Service, Services } from './service.ts';

const keepView: Service<'view.keep'> = async ({ db, at }, { viewId, name, query }) => {
  // Kept as the log would write it itself, from its first page on.
  const asked = { ...readLogAddress(new URLSearchParams(query)), from: 0 };
  const own = logAddress('', asked).slice(1);
  if (own === '') throw beside('name', refusals.views.all);
  const same = await db.select({ id: logView.id }).from(logView).where(eq(logView.name, name));
  if (same.length > 0) throw beside('name', refusals.views.nameTaken);
  return {
    testId: null,
    detail: { name },
    changes: [added('logView', { id: viewId, name, query: own, createdAt: at })]
  };
};

const removeView: Service<'view.remove'> = async ({ db }, { viewId }) => {
  const row = found((await db.select().from(logView).where(eq(logView.id, viewId)))[0], 'This view');
  return { testId: null, detail: { name: row.name }, changes: [removed('logView', row)] };
};

export const viewServices = {
  'view.keep': keepView,
  'view.remove': removeView
} satisfies Partial<Services>;
