import type { Comes, DrillKey, Needs, Slip, Task } from '../../core/index.ts';
import { decisions, troubles } from './drill-cases.ts';

type Part = 'sand' | 'silt' | 'clay';
const one = (x: number) => (Number.isInteger(x) ? String(x) : x.toFixed(1));
/** A time in a jar, as a clock shows it. */
const time = (s: number) => {
  const whole = Math.round(s);
  const [h, m] = [Math.floor(whole / 3600), Math.floor((whole % 3600) / 60)];
  return h > 0 ? `${h} h ${m} min` : m > 0 ? `${m} min ${whole % 60} s` : `${whole} s`;
};
const inches = (parts: number, of: number) => {
  const whole = Math.floor(parts / of);
  let [over, under] = [parts - whole * of, of];
  while (over > 0 && over % 2 === 0) [over, under] = [over / 2, under / 2];
  const fraction = over > 0 ? `${over}/${under}` : '';
  return [whole > 0 || over === 0 ? String(whole) : '', fraction].filter(Boolean).join(' ');
};

const layers: Record<Comes, string> = {
  gravel: 'gravel',
  'coarse-sand': 'coarse sand',
  'fine-sand': 'fine sand',
  sand: 'sand',
  silt: 'silt',
  clay: 'clay',
  organics: 'organic matter'
};

const needs: Record<Needs, string> = {
  sand: 'the sand',
  silt: 'the silt',
  clay: 'the clay',
  all: 'all three shares',
  gravel: 'the gravel',
  none: 'none: a jar does not tell'
};

/** English. Drills: what is asked, what slipped, and the working of the right answer. */
export const drills = {
  title: 'Drills',
  lead: 'One task after the other. It gets harder as you get better, and comes back to what you missed.',
  who: 'Who practises',
  whoHint: 'A name or a number. Left empty, the history stays on this device.',
  underName: (name: string) => `What you try is kept under your name, ${name}.`,
  whichLabel: 'Which drills',
  all: 'All in turn',
  level: (n: number) => `level ${n} of 5`,
  again: 'missed before',
  check: 'Check',
  next: 'Next task',
  begin: 'Begin',
  none: 'Nothing has been tried yet.',
  history: 'History',
  tried: (n: number) => (n === 1 ? 'tried once' : `tried ${n} times`),
  mean: (points: number) => `${points} points on average lately`,
  forget: 'Forget this history',
  forgotten: 'The history is gone.',
  learners: 'Practised here',
  points: (n: number) => `${n} of 100 points`,
  grades: { done: 'Right', nearly: 'Nearly', missed: 'Missed' },
  working: 'How it is worked',
  off: {
    mm: (by: number) => `${one(Math.abs(by))} mm off`,
    s: (by: number) => `${time(Math.abs(by))} ${by < 0 ? 'early' : 'late'}`,
    points: (by: number) => `${one(Math.abs(by))} points off`,
    classes: (by: number) => (by === 1 ? 'one off' : `${by} off`)
  },
  layers,
  needs,
  decisions,
  troubles,
  names: {
    order: 'Order of the layers',
    when: 'When to mark',
    base: 'Ruler at the inside bottom',
    inches: 'Eighths and sixteenths',
    total: 'The right total',
    lines: 'Three lines of the triangle',
    picture: 'A faint line',
    borderline: 'Borderline',
    decision: 'Which decision needs which share',
    trouble: 'Which trouble is this'
  } satisfies Record<DrillKey, string>,
  slips: {
    'upside-down': 'It is upside down: what is coarsest comes down first and lies lowest.',
    'clay-below': 'Clay under silt: finest comes down last, so it lies on top.',
    'too-soon': 'Pressed too soon: some of the layer was still falling.',
    'too-late': 'Pressed too late: finer grains had come down on it.',
    'at-another-time': 'That is the time of another depth or another warmth.',
    'outside-bottom': 'Measured from the table: the thickness of the glass is counted as sediment.',
    'edge-of-dome': 'Measured from the middle of the pushed-up bottom: layers are measured at the wall.',
    'fractions-as-tenths': 'The lines were read as tenths of an inch.',
    'eighths-as-sixteenths':
      'Lines of one kind were counted as the other: count how many there are in an inch first.',
    'whole-inch': 'A whole inch was lost or counted twice.',
    'next-line': 'That is the next line.',
    'top-for-thickness':
      'The height of its top was taken for its thickness: what lies below it has to come off.',
    'over-water': 'Divided by the height of the water.',
    'over-glass': 'Divided by the height of the glass.',
    'with-organics': 'Organic matter was counted in: it is no mineral layer.',
    'with-gravel': 'Gravel was counted in: it is told apart from the three.',
    'the-others': 'That is what the other two make together.',
    'wrong-line': 'That is another line.',
    swapped: 'Two shares changed places: a line was followed in the wrong direction.',
    'not-hundred': 'The three do not come to 100.',
    'no-line-there': 'There is no line: one layer passes into the other. The answer is that there is none.',
    'line-missed': 'There is a line, faint as it is.',
    'too-sure': 'Too sure: the next class has a fair chance too.',
    'too-careful': 'Too careful: one class has four chances in five.',
    'another-class': 'Another class.',
    'not-asked-of-texture': 'A jar does not tell that, whichever share one takes.',
    'another-share': 'Another share.',
    'another-cause': 'Another cause.'
  } satisfies Record<Slip, string>,
  ask: {
    order: () => 'Lay the names on the layers, the lowest first.',
    when: (x: Task<'when'>) =>
      x.told
        ? `Mark the ${x.layer} at ${time(x.dueS)}. The clock runs ${Math.round(x.rate)} times as fast as ours.`
        : `A column of ${x.columnMm} mm at ${x.tempC} °C: mark the ${x.layer} when it is due. The clock runs ${Math.round(x.rate)} times as fast as ours.`,
    base: (x: Task<'base'>) => `How high does the top of the ${x.asked} stand inside?`,
    inches: (x: Task<'inches'>) =>
      x.thickness
        ? 'How thick is it from one line to the other, in inches?'
        : 'How high is the line, in inches?',
    total: (x: Task<'total'>) => `What share is the ${x.asked}, by height?`,
    lines: (x: Task<'lines'>) =>
      x.way === 'place'
        ? `Put the point on ${x.soil.sand} % sand, ${x.soil.silt} % silt, ${x.soil.clay} % clay.`
        : 'What are the shares of this point?',
    picture: (x: Task<'picture'>) =>
      `Where does the ${x.asked} end? Move the tape, or say that no line can be drawn.`,
    borderline: () => 'Nine cases in ten lie inside the ink. Which class is it, or which two?',
    decision: () => 'Which share does this decision need?',
    trouble: () => 'What is the matter with this jar?'
  },
  work: {
    order: (x: Task<'order'>) => [
      `From the bottom: ${x.layers.map((l) => layers[l.kind]).join(', ')}. The coarsest falls fastest.`
    ],
    when: (x: Task<'when'>, near: { tempC: number; columnMm: number; dueS: number }) => [
      ...(x.told
        ? []
        : [`The nearest in the table: ${near.columnMm} mm at ${near.tempC} °C, ${time(near.dueS)}.`]),
      `Due at ${time(x.dueS)}; ${Math.round(100 * x.fairShare)} % to either side does no harm.`
    ],
    base: (x: Task<'base'>) => [
      `On the ruler ${one(x.trueMm + x.baseMm - x.zeroMm)} mm.`,
      `Its zero stands ${one(x.zeroMm)} mm over the table, the inside bottom ${one(x.baseMm)} mm: ${one(x.trueMm + x.baseMm - x.zeroMm)} + ${one(x.zeroMm)} - ${one(x.baseMm)} = ${one(x.trueMm)} mm.`,
      ...(x.domeMm > 0
        ? ['The bottom is pushed up in its middle; at the wall, where layers are seen, it is lowest.']
        : [])
    ],
    inches: (x: Task<'inches'>) => [
      `${x.parts} lines to the inch.`,
      x.thickness
        ? `${inches(x.to, x.parts)} - ${inches(x.from, x.parts)} = ${inches(x.to - x.from, x.parts)} in.`
        : `${inches(x.to, x.parts)} in.`,
      `That is ${x.trueMm.toFixed(1)} mm.`
    ],
    total: (x: Task<'total'>) => {
      const sum = x.sandMm + x.siltMm + x.clayMm;
      const thick = { sand: x.sandMm, silt: x.siltMm, clay: x.clayMm }[x.asked];
      return [
        ...(x.tops ? [`Thicknesses first: sand ${x.sandMm}, silt ${x.siltMm}, clay ${x.clayMm} mm.`] : []),
        `The mineral layers together: ${x.sandMm} + ${x.siltMm} + ${x.clayMm} = ${sum} mm.`,
        `${thick} / ${sum} × 100 = ${x.truePct.toFixed(1)} %.`
      ];
    },
    lines: (x: Task<'lines'>) => [
      `Clay ${x.soil.clay}: straight across from the left side. Sand ${x.soil.sand}: from the bottom up to the left. Silt ${x.soil.silt}: from the right side down to the left.`,
      'Two lines fix the point; the third has to pass through it.'
    ],
    picture: (x: Task<'picture'>) => [
      x.trueMm === null
        ? 'One layer passes into the other over two centimetres: no line can be drawn. The timed mark says where it ends.'
        : `It ends at ${one(x.trueMm)} mm.`
    ],
    borderline: (x: Task<'borderline'>, name: (id: string) => string) => [
      `${x.chances
        .slice(0, 3)
        .map((c) => `${name(c.id)} ${Math.round(100 * c.chance)} %`)
        .join(', ')}.`,
      x.right.length === 1
        ? 'One class has four chances in five or more: it stands alone.'
        : 'No class has four chances in five: it is borderline, and both are named.'
    ],
    decision: (x: Task<'decision'>) => [decisions[x.id].why],
    trouble: (x: Task<'trouble'>) => [`${troubles[x.right].name}. ${troubles[x.right].act}`]
  },
  fields: {
    place: (no: number) => (no === 1 ? '1, the lowest' : String(no)),
    pick: 'choose',
    mark: 'Mark',
    start: 'Start the clock',
    clock: 'Clock of the jar',
    table: (layer: Part) => `When the ${layer} is due`,
    depth: 'Depth',
    mm: 'Height, mm',
    inches: 'Inches, such as 1 3/8',
    share: 'Share, percent',
    none: 'No line can be drawn',
    tape: 'Tape',
    notRead: 'Give a number.',
    lookShares: 'Give all three shares.',
    answerFirst: 'Answer first.',
    noted: 'Noted',
    thickness: 'Thickness',
    top: 'Top over the inside bottom',
    waterLine: 'water line',
    rim: 'rim of the glass',
    jarAlt: 'A jar with its layers, to be named',
    rulerAlt: 'A ruler on the table beside a jar with a thick bottom',
    inchAlt: 'A ruler in inches with one or two lines beside it',
    pictureAlt: 'A picture of a jar, with a ruler in centimetres beside it',
    pointAlt: 'The texture triangle with the point',
    placeAlt: 'The texture triangle: move the point'
  }
};
