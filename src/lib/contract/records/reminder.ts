export const REMINDERS = ['water', 'test'] as const;

/** Something that is to be done some day, once or again and again. */
export type ReminderRecord = {
  id: string;
  kind: (typeof REMINDERS)[number];
  name: string;
  areaId: string | null;
  litres: number | null;
  dueAt: number;
  /** Again after so long, ms; null for once. */
  everyMs: number | null;
  createdAt: number;
};
