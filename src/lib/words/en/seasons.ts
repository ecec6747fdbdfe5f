/** An area over its seasons. */
export const seasons = {
  title: 'Season to season',
  of: (area: string) => `${area}, season to season`,
  none: 'No finished jar of this area yet: the line begins with the first.',
  one: 'One jar so far. The next one, a season on, tells whether anything changed.',
  line: (area: string) => `Tests of ${area} by their day, and what was done between them`,
  changed: {
    more: (what: string, points: string, chance: string) => `${what}: ${points} more, with ${chance}.`,
    less: (what: string, points: string, chance: string) => `${what}: ${points} less, with ${chance}.`
  },
  points: (n: string) => `${n} points`,
  between: (from: string, to: string) => `From ${from} to ${to}`,
  doneThen: 'Between them:',
  nothingDone: 'Nothing was noted between them.',
  same: 'Nothing that is more than the reading.',
  real: 'That is more than the reading.',
  texture:
    'Compost does not move sand, silt or clay: a change of texture comes from soil that was brought or lost, or from another spot.',
  again: 'Test it again',
  againName: (area: string) => `Test ${area} again`,
  reminded: (area: string) => `${area}: the bench calls when it is to be tested again.`,
  ended: 'The reminder is taken off.',
  due: 'To be done',
  dueLitres: (litres: number) => `${litres} L`,
  done: 'Done',
  didIt: (name: string) => `${name}: done.`,
  remind: 'Into the calendar',
  remindIn: { half: 'in half a year', year: 'in a year', two: 'in two years' },
  taskWhy: 'The same depth and the same method as last time, so that only the ground differs.'
};
