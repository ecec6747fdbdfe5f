import { eq } from 'drizzle-orm';
import { added, removed } from '../events.ts';
import { found } from '../problem.ts';
import { labReport, sample } from '../schema.ts';
import type { Service, Services } from './service.ts';

/** Keeps a laboratory's report as it stands on paper. */
const addLab: Service<'lab.add'> = async ({ db, at }, { reportId, ...fields }) => {
  const row = found((await db.select().from(sample).where(eq(sample.id, fields.sampleId)))[0], 'This sample');
  return {
    testId: null,
    detail: { code: row.code, lab: fields.lab },
    changes: [added('labReport', { id: reportId, ...fields, createdAt: at })]
  };
};

const removeLab: Service<'lab.remove'> = async ({ db }, { reportId }) => {
  const row = found((await db.select().from(labReport).where(eq(labReport.id, reportId)))[0], 'This report');
  return { testId: null, detail: { lab: row.lab }, changes: [removed('labReport', row)] };
};

export const labServices = {
  'lab.add': addLab,
  'lab.remove': removeLab
} satisfies Partial<Services>;
