import { grouped } from '../grouped.ts';

const tests = (n: number) => (n === 1 ? '1 test' : `${grouped(n)} tests`);
const rows = (n: number) => (n === 1 ? '1 row' : `${grouped(n)} rows`);

/** English. Taking a table of somebody's tests into the log. */
export const taking = {
  title: 'Take in a table',
  link: 'Take in a table',
  lead: 'A CSV of tests that were run before, or elsewhere: a row each, with shares in percent or heights of layers. You say what each column is, and see what is wrong with which row; nothing is written until then. JSON that was saved here will do too.',
  pick: 'Choose a table',
  example: 'an example to try it with',
  otherFile: 'choose another',
  looking: 'Looking through it …',
  found: (good: number, bad: number) =>
    bad === 0
      ? `${rows(good)}, all can be taken in`
      : `${rows(good + bad)}: ${grouped(good)} can be taken in, ${grouped(bad)} cannot`,
  oldLetters:
    'It is not written in UTF-8; its letters were read as Windows-1252. Look whether the names are right.',
  already: (name: string, when: string) =>
    `The same file, ${name}, was taken in ${when}. Taken in again, each of its tests stands twice.`,
  figures: 'Its layers are',
  figuresAre: {
    percent: 'percent',
    fraction: 'parts of one',
    thickness: 'thickness of each',
    tops: 'heights of their tops'
  },
  unit: 'Unit of the layers',
  depthUnit: 'Unit of depths',
  decimals: 'Decimals',
  decimalsAre: { point: '12.5', comma: '12,5' },
  days: 'Days',
  daysAre: { ymd: '2026-05-04', dmy: '4.5.2026', mdy: '5/4/2026' },
  head: 'The columns are named in',
  headRow: (no: number, cells: readonly string[]) => {
    const text = cells.filter((cell) => cell.trim() !== '').join(' · ');
    return `row ${no}: ${text.length > 40 ? `${text.slice(0, 40)}…` : text}`;
  },
  noHead: 'no row',
  guessed: (what: string[]) => `Guessed, so look: ${what.join(', ')}.`,
  unsure: {
    figures: 'whether layers are told by thickness or by height',
    unit: 'the unit of the layers, which no head names',
    days: 'the order of the days'
  },
  row: 'Row',
  column: (n: number) => `Column ${n}`,
  columnIs: (name: string) => `What ${name} is`,
  columnHead: 'Column',
  what: 'What to do',
  leftOut: 'left out',
  fields: {
    name: 'Sample',
    theirs: 'Their number',
    site: 'Site',
    area: 'Area',
    takenOn: 'Day',
    depth: 'Depth, or from–to',
    depthFrom: 'Depth from',
    depthTo: 'Depth to',
    sand: 'Sand',
    silt: 'Silt',
    clay: 'Clay',
    gravel: 'Gravel',
    total: 'The whole',
    method: 'Method',
    by: 'Read by',
    purpose: 'For',
    note: 'Note'
  },
  unknownArea: (name: string, n: number) =>
    `No area here is called ${name}: ${rows(n)} will say so in a note. Draw it on the sketch first to have them there.`,
  unknownMethod: (name: string, n: number) =>
    `No method here is called ${name}: ${rows(n)} will say so in a note.`,
  becomes: (shares: number, heights: number, o: { points: number; estimated: boolean }) =>
    [
      shares > 0
        ? `${rows(shares)} with shares: kept as somebody's numbers, each within some ${o.points} points.`
        : '',
      heights > 0
        ? `${rows(heights)} with heights: ${
            o.estimated
              ? 'read, and estimated by mass as any jar'
              : 'kept as read; open one again to have it estimated by mass'
          }.`
        : ''
    ]
      .filter(Boolean)
      .join(' '),
  take: (good: number, bad: number) =>
    bad === 0 ? `Take in ${rows(good)}` : `Take in ${rows(good)}, leave ${grouped(bad)} out`,
  under: (done: number, of: number, name: string) =>
    `${grouped(done)} of ${rows(of)} of ${name} are in the log`,
  underHint: 'It goes on when you leave this page. Stopped, all of it is taken out again.',
  stop: 'Stop, and take it out again',
  stopped: (name: string) => `${name} was stopped: nothing of it is in the log.`,
  in: (n: number, name: string) => `${tests(n)} of ${name} ${n === 1 ? 'is' : 'are'} in the log.`,
  see: 'See them in the log',
  another: 'Take in another table',
  before: 'Tables that were taken in',
  rows: tests,
  takeBack: 'Take it back',
  takeBackOf: (name: string) => `Take ${name} back`,
  goingBack: 'Taking it back …',
  tookBack: (name: string, stayed: number) =>
    stayed === 0
      ? `${name} is taken back.`
      : `${name} is taken back. ${tests(stayed)} ${stayed === 1 ? 'stays' : 'stay'}: somebody went on with ${stayed === 1 ? 'it' : 'them'}.`,
  backAgain: (stayed: number) => (stayed === 0 ? 'taken back' : `taken back; ${tests(stayed)} stayed`),
  problems: (n: number) =>
    n === 1 ? 'A row that cannot be taken in' : `${grouped(n)} rows that cannot be taken in`,
  summaries: (rows: string) => `Left out, for they are no tests of their own: row ${rows}.`,
  more: (n: number) => `and ${grouped(n)} more`,
  saveProblems: 'Save this list as CSV'
};
