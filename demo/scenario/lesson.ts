import type { SheetItem } from '../../src/lib/core/index.ts';

/** The sheet of a lesson at the light station, for helpers of a summer. */
export const sheet: { title: string; code: string; seed: number; items: SheetItem[] } = {
  title: 'Jars by the book, first day',
  code: 'SKARN7',
  seed: 41,
  items: [
    { kind: 'drill', key: 'order', level: 2, count: 1 },
    { kind: 'drill', key: 'base', level: 2, count: 2 },
    { kind: 'drill', key: 'total', level: 4, count: 1 },
    { kind: 'calculation', level: 4 },
    { kind: 'jar', code: null },
    { kind: 'test', what: 'Set a jar of the north bed by the timed marks; note its code and what it came to' }
  ]
};

/** What somebody does wrong on the sheet, in the words of this file alone. */
export type Habit = 'upside-down' | 'table-for-bottom' | 'water-for-total' | 'organics-in';

/** Six learners by their numbers: how far each came, what each does wrong, how far off each reads the jar, mm. */
export const learners: {
  name: string;
  group: string;
  tasks: number;
  habits: Habit[];
  readsMm: number;
  handsIn: boolean;
}[] = [
  { name: '11', group: 'Slip', tasks: 7, habits: [], readsMm: 0, handsIn: true },
  {
    name: '12',
    group: 'Slip',
    tasks: 7,
    habits: ['table-for-bottom', 'organics-in'],
    readsMm: 1.5,
    handsIn: true
  },
  {
    name: '13',
    group: 'Landing',
    tasks: 7,
    habits: ['upside-down', 'water-for-total'],
    readsMm: -1,
    handsIn: true
  },
  { name: '14', group: 'Landing', tasks: 4, habits: ['water-for-total'], readsMm: 0, handsIn: false },
  { name: '15', group: 'Cistern', tasks: 6, habits: ['organics-in'], readsMm: 2.5, handsIn: false },
  { name: '16', group: 'Cistern', tasks: 6, habits: ['table-for-bottom'], readsMm: -0.5, handsIn: false }
];
