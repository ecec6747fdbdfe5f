import type { DrillKey, Score, SheetGiven, SheetItem } from '../../core/index.ts';

/** A lesson as a teacher sees it in the list. */
export type LessonRecord = {
  id: string;
  code: string;
  title: string;
  items: SheetItem[];
  seed: number;
  createdAt: number;
  closedAt: number | null;
};

/** What a learner answered to a task. */
export type AnswerRecord = {
  id: string;
  no: number;
  given: SheetGiven;
  score: Score | null;
  /** Points that the teacher gave; they count in place of the score. */
  mark: number | null;
  at: number;
};

export type LearnerRecord = {
  id: string;
  name: string;
  groupName: string;
  joinedAt: number;
  seenAt: number;
  handedInAt: number | null;
  /** Whether a device shows itself as this learner: a name that was freed is taken by whoever joins with it. */
  onDevice: boolean;
};

/** A lesson with everybody in it, for the teacher. */
export type LessonDetail = LessonRecord & { learners: (LearnerRecord & { answers: AnswerRecord[] })[] };

/** A lesson as one learner sees it. */
export type OwnSheet = {
  lesson: Pick<LessonRecord, 'id' | 'code' | 'title' | 'items' | 'seed' | 'closedAt'>;
  learner: LearnerRecord;
  answers: AnswerRecord[];
};

/** Something tried alone, oldest first. */
export type SoloTry = { key: DrillKey; level: number; points: number; at: number };

/** Points that an answer counts with: the teacher's before the score's; null where nobody has marked it. */
export const pointsOf = ({ mark, score }: Pick<AnswerRecord, 'mark' | 'score'>): number | null =>
  mark ?? score?.points ?? null;

/** Whether points are a mark: whole, from none to all. */
export const isMark = (points: number): boolean => Number.isInteger(points) && points >= 0 && points <= 100;

/** Lines of a sheet that stay as they are: all of them once somebody has answered, for tasks go by their places. */
export const linesThatStay = ({ items }: Pick<LessonRecord, 'items'>, isAnswered: boolean): number =>
  isAnswered ? items.length : 0;
