import type { SumSlip } from '../../core/index.ts';

const n1 = (x: number) => (Number.isInteger(x) ? String(x) : x.toFixed(1));
const some = (n: number, one: string, many: string) => (n === 1 ? `1 ${one}` : `${n} ${many}`);

/** English. Lessons: the sheet as a teacher makes and marks it, and as a learner fills it. */
export const lessons = {
  title: 'Lessons',
  lead: 'A sheet is the same for the whole class. Learners join with its code, by a name or a number only.',
  none: 'There is no lesson yet. Make a sheet below, and hand its code out.',
  made: (day: string) => `made ${day}`,
  inIt: (n: number) => some(n, 'learner', 'learners'),
  closed: 'closed',
  make: 'Make a sheet',
  name: 'Name of the lesson',
  lines: 'On the sheet',
  add: 'Add to the sheet',
  addIt: 'Add this line',
  kinds: {
    drill: 'Drill',
    calculation: 'A worked calculation',
    jar: 'One jar that everybody reads',
    test: 'A real test to run'
  },
  drill: 'Drill',
  level: 'Level',
  count: 'How many',
  simulated: 'A simulated picture',
  real: 'A jar that stands here',
  jarCode: 'Its code',
  what: 'Which test, and how',
  takeOff: (line: string) => `Take off: ${line}`,
  line: {
    drill: (name: string, level: number, count: number) =>
      `${name}, level ${level}, ${some(count, 'task', 'tasks')}`,
    calculation: (level: number) => `A worked calculation, level ${level}`,
    jar: (code: string | null) =>
      code === null ? 'One simulated jar, read by everybody' : `Jar ${code}, read by everybody`,
    test: (what: string) => `To run: ${what}`
  },
  save: 'Make the lesson',
  saved: (code: string) => `The lesson stands. Its code is ${code}.`,
  nothing: 'Add something to the sheet first.',
  code: 'Code',
  handOut: 'Hand this out',
  address: (url: string) => `Learners go to ${url} and give the code, or open the link.`,
  copyLink: 'Copy the link',
  copied: 'The link is copied.',
  close: 'Close the lesson',
  open: 'Open it again',
  csv: 'Table as CSV',
  remove: 'Delete the lesson and everybody in it',
  removed: 'The lesson is deleted, with every name and answer in it.',
  removeNote:
    'Nothing of it is left on the bench. Copies of the database that were made before hold it until they are rotated out.',
  classTitle: 'The class',
  qr: 'QR code of the address at which learners join',
  nobody: 'Nobody has joined yet.',
  learner: 'Name',
  group: 'Group',
  where: 'Where',
  done: (done: number, of: number) => `${done} of ${of}`,
  at: (no: number) => `at ${no}`,
  handedIn: 'handed in',
  points: 'Points',
  more: 'More',
  giveBack: 'Give the sheet back',
  free: 'Free the name',
  takeOut: 'Take out',
  look: (name: string) => `Answers of ${name}`,
  unmarked: 'to be marked',
  markAs: (points: number, name: string, no: number) => `Mark task ${no} of ${name}: ${points}`,
  unmark: 'score again',
  spread: {
    title: (code: string | null) =>
      code === null ? 'The simulated jar, read by the class' : `Jar ${code}, read by the class`,
    none: 'Nobody has read it yet.',
    line: (name: string, mean: string, sd: string) => `${name}: on average ${mean}, spread ${sd}`,
    truth: 'true height',
    alt: (n: number) => `Readings of one jar by ${some(n, 'learner', 'learners')}, a dot each, by line`,
    why: 'Spread is the standard deviation: two readings in three lie within it.'
  },
  tasksHead: (no: number, name: string) => `${no}. ${name}`,
  join: {
    title: 'Join a lesson',
    lead: 'Give the code that you were handed. A name or a number is all that is kept of you, until the lesson is deleted.',
    code: 'Code of the lesson',
    name: 'Name or number',
    group: 'Group, if you work in one',
    button: 'Join',
    next: 'Next'
  },
  sheet: {
    as: (name: string, group: string) => (group ? `${name}, group ${group}` : name),
    of: (done: number, of: number) => `${done} of ${of} done`,
    tasks: 'Tasks of the sheet',
    task: (no: number, name: string) => `Task ${no}: ${name}`,
    doneMark: 'done',
    handIn: 'Hand in',
    handInOpen: (n: number) => `Hand in with ${some(n, 'task', 'tasks')} open`,
    handedIn: 'Handed in. Your teacher sees it now.',
    closed: 'This lesson is closed.',
    jar: 'Read the three tops over the inside bottom.',
    jarReal: (code: string) => `Read jar ${code}: the three tops over the inside bottom.`,
    tops: { sandMm: 'Top of the sand, mm', siltMm: 'Top of the silt, mm', clayMm: 'Top of the clay, mm' },
    test: 'What came of it',
    calculation: 'Work out the three shares by height, a line a step.',
    calculationHint: 'Such as: 20 + 15 + 5 = 40, then sand: 20 / 40 x 100 = 50 %',
    yourLines: 'Your calculation',
    keep: 'Keep',
    kept: 'Kept.',
    again: 'Answer again',
    checkLines: 'Check it',
    points: (n: number) => `${n} of 100 points`,
    waits: 'Your teacher marks this.',
    setJar: 'Set a jar on the bench',
    giveNumber: 'Give a height in mm.',
    write: 'Write something first.'
  },
  sums: {
    right: 'right',
    carried: 'right, but it goes on with what slipped above',
    unread: 'no calculation: passed over',
    should: (x: number) => ` It should be ${n1(Math.round(x * 10) / 10)}.`,
    slips: {
      arithmetic: 'The sides are not equal.',
      'with-gravel': 'Gravel is counted in the total: it is told apart.',
      'with-organics': 'Organic matter is counted in the total: it is no mineral layer.',
      'layer-left-out': 'A layer is missing from the total.',
      'over-water': 'Divided by the height of the water: the total is that of the three layers.',
      'over-glass': 'Divided by the height of the glass: the total is that of the three layers.',
      'over-another': 'Divided by a number that is not the total.',
      'upside-down': 'The division is upside down: the layer over the total.',
      'top-for-thickness':
        'The height of its top is taken for its thickness: what lies below has to come off.',
      'strange-number': 'A number in it was neither measured nor worked out before.',
      'another-share': 'This share is another.'
    } satisfies Record<SumSlip, string>
  }
};
