import { eq } from 'drizzle-orm';
import { checkVessel, RangeProblem } from '../../core/index.ts';
import { added, changed } from '../events.ts';
import { CommandProblem, found } from '../problem.ts';
import { sample, vessel } from '../schema.ts';
import type { Service } from './service.ts';

/** Letters that are mistaken for figures on tape. */
const UNFIT = new Set(['I', 'O', 'Q', 'Z']);

/**
 * A code for a new sample: the first fit letter of its name, and the next free number for that letter.
 * @example nextCode('Kitchen bed', ['K1', 'B4']) // 'K2'
 */
export function nextCode(name: string, taken: readonly string[]): string {
  const letters = name.normalize('NFD').toUpperCase().match(/[A-Z]/g) ?? [];
  const letter = letters.find((l) => !UNFIT.has(l)) ?? 'S';
  const used = taken.filter((c) => c.startsWith(letter)).map((c) => Number.parseInt(c.slice(1), 10) || 0);
  return `${letter}${Math.max(0, ...used) + 1}`;
}

export const addSample: Service<'sample.add'> = async ({ db, at }, p) => {
  const taken = await db.select({ code: sample.code }).from(sample);
  const code = nextCode(
    p.name,
    taken.map((t) => t.code)
  );
  const { sampleId: id, ...fields } = p;
  return {
    testId: null,
    detail: { code, name: p.name },
    changes: [added('sample', { id, code, ...fields, details: {}, createdAt: at })]
  };
};

/** A day more than any zone is ahead of UTC. */
const DAY_MS = 86_400_000;

export const editSample: Service<'sample.edit'> = async ({ db, now }, p) => {
  const row = found((await db.select().from(sample).where(eq(sample.id, p.sampleId)))[0], 'This sample');
  const { takenOn } = p.details;
  if (takenOn && Date.parse(takenOn) > now + DAY_MS) {
    const message = 'This day lies in the future. When was the soil dug?';
    throw new CommandProblem(message, { 'details.takenOn': message });
  }
  const { sampleId: _, ...fields } = p;
  return {
    testId: null,
    detail: { code: row.code, name: p.name },
    changes: [changed('sample', row, fields)]
  };
};

export const addVessel: Service<'vessel.add'> = async ({ db, at }, p) => {
  const { vesselId: id, ...measures } = p;
  try {
    checkVessel(measures);
  } catch (error) {
    if (error instanceof RangeProblem)
      throw new CommandProblem(error.message, { [error.field]: error.message });
    throw error;
  }
  const same = await db.select({ id: vessel.id }).from(vessel).where(eq(vessel.name, p.name));
  if (same.length > 0) {
    const message = 'A vessel of that name is already there. Give this one another name.';
    throw new CommandProblem(message, { name: message });
  }
  return {
    testId: null,
    detail: { name: p.name },
    changes: [added('vessel', { id, ...measures, createdAt: at })]
  };
};
