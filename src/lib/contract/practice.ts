import { z } from 'zod';
import { DRILL_KEYS, LEVELS, type DrillKey, type Given, type SheetItem } from '../core/index.ts';
import { refusals } from '../words/refusals.ts';
import { isMark } from './records/lesson.ts';
import { unseenIn } from './unseen.ts';

const level = z.number().int().min(1).max(LEVELS);
const line = (most: number, tooLong: string) =>
  z
    .string()
    .trim()
    .max(most, tooLong)
    .refine((text) => !unseenIn(text.replaceAll('\n', ' ')), refusals.sentences.control);
const number = z.number().finite();

/** What a learner is called: a name, or a number. */
export const learnerName = line(40, refusals.jars.keepUnder40Letters).min(1, refusals.practice.giveName);

/** Answers to the drills. */
const given: Record<DrillKey, z.ZodType> = {
  order: z.object({ order: z.array(z.string().max(20)).max(8) }),
  when: z.object({ atS: number }),
  base: z.object({ mm: number }),
  inches: z.object({ mm: number }),
  total: z.object({ pct: number }),
  lines: z.object({ soil: z.object({ sand: number, silt: number, clay: number }) }),
  picture: z.object({ mm: number.nullable() }),
  borderline: z.object({ classes: z.array(z.string().max(40)).max(8) }),
  decision: z.object({ needs: z.string().max(20) }),
  trouble: z.object({ trouble: z.string().max(30) })
};

/** An answer to a task of a drill. @returns undefined for one of another shape */
export function givenTo(key: DrillKey, answer: unknown): Given | undefined {
  const read = given[key].safeParse(answer);
  return read.success ? (read.data as Given) : undefined;
}

/** Something that was tried alone. */
export const soloTry = z.object({
  name: learnerName,
  key: z.enum(DRILL_KEYS),
  level,
  seed: z.number().int().min(0).max(1e12),
  given: z.unknown()
});

const item: z.ZodType<SheetItem> = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('drill'),
    key: z.enum(DRILL_KEYS),
    level,
    count: z.number().int().min(1).max(10)
  }),
  z.object({ kind: z.literal('calculation'), level }),
  z.object({
    kind: z.literal('jar'),
    code: line(20, refusals.practice.code20).nullable()
  }),
  z.object({
    kind: z.literal('test'),
    what: line(200, refusals.practice.keepUnder200).min(1, refusals.practice.sayWhat)
  })
]);

/** A sheet that a teacher makes. */
export const newLesson = z.object({
  title: line(80, refusals.common.keepNameUnder80).min(1, refusals.practice.nameLesson),
  items: z.array(item).min(1, refusals.practice.chooseSome).max(20, refusals.practice.twentyPlenty)
});

/** Who joins a lesson, and in which group. */
export const newLearner = z.object({
  name: learnerName,
  group: line(40, refusals.jars.keepUnder40Letters).default('')
});

const mm = number.min(0, refusals.practice.height).max(500, refusals.practice.height);
/** What a learner hands in for a task. */
export const sheetAnswer = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('drill'), given: z.unknown() }),
  z.object({ kind: z.literal('calculation'), text: line(2000, refusals.practice.keepUnder2000) }),
  z.object({
    kind: z.literal('jar'),
    tops: z
      .object({ sandMm: mm, siltMm: mm, clayMm: mm })
      .refine((tops) => tops.sandMm <= tops.siltMm && tops.siltMm <= tops.clayMm, refusals.practice.inOrder)
  }),
  z.object({ kind: z.literal('test'), text: line(1000, refusals.practice.keepUnder1000) })
]);

/** A mark that a teacher gives. */
export const teacherMark = z.object({
  points: z.number().refine(isMark, refusals.practice.markRange).nullable()
});
