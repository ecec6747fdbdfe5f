import type { Binder, Drop, SoakLook, TrialKind, TrialSays, TrialTaskKind } from '../../core/index.ts';

const kinds: Record<TrialKind, { title: string; one: string; many: string; lead: string }> = {
  ball: {
    title: 'Balls to drop',
    one: 'ball to drop',
    many: 'balls to drop',
    lead: 'Moist as for forming, rolled to 40 mm, dropped from 1.5 m on to hard ground.'
  },
  ribbon: {
    title: 'Ribbons',
    one: 'ribbon',
    many: 'ribbons',
    lead: 'Moist, pressed out between thumb and finger until it breaks of its own weight.'
  },
  box: {
    title: 'Shrinkage boxes',
    one: 'shrinkage box',
    many: 'shrinkage boxes',
    lead: 'A greased wooden box, filled moist and struck level. The dry piece is pushed to one end and measured.'
  },
  block: {
    title: 'Blocks',
    one: 'block',
    many: 'blocks',
    lead: 'Small blocks, moulded or pressed. Some are crushed dry, some after days in water.'
  }
};
const step: Record<TrialTaskKind, string> = {
  form: 'Make the pieces',
  try: 'Try them now, while they are moist',
  turn: 'Turn them, so that they dry evenly',
  damp: 'Keep them damp: wet the sacking',
  measure: 'Measure the dry pieces',
  dry: 'Crush the dry ones',
  soak: 'Put into water those that are to be soaked',
  wet: 'Take them out, look, and crush them wet',
  finish: 'It can be finished'
};
const short: Record<TrialTaskKind, string> = {
  form: 'make the pieces',
  try: 'try them',
  turn: 'turn them',
  damp: 'wet them',
  measure: 'measure them',
  dry: 'crush the dry ones',
  soak: 'put them into water',
  wet: 'look, and crush them wet',
  finish: 'finish'
};
const drops: Record<Drop, string> = {
  whole: 'stays whole and flattens',
  few: 'breaks into a few pieces',
  crumbles: 'crumbles'
};
const looks: Record<SoakLook, string> = {
  keeps: 'keeps its shape',
  softens: 'edges and corners soften',
  falls: 'falls apart'
};
const binders: Record<Binder, string> = { none: 'plain', cement: 'cement', lime: 'lime' };

type Says = TrialSays['kind'];
/** What a set comes to; of blocks the chance stands behind. */
const says: Record<Says, (figure: string, chance: string, asked: string) => string> = {
  stabilised: (mpa, chance) => `Stabilised: holds ${mpa} after the soak, with ${chance} enough.`,
  falls: () => 'Fails wet: every block that was soaked fell apart.',
  'weak-wet': (mpa, chance, asked) =>
    `Fails wet: holds ${mpa} after the soak where ${asked} is asked; enough with ${chance}.`,
  'open-wet': (mpa, chance, asked) =>
    `Open: holds ${mpa} after the soak, and the ${asked} that is asked with ${chance}. More blocks would tell.`,
  typical: (mpa, chance) =>
    `As pressed blocks mostly are, dry: holds ${mpa}, with ${chance} enough. What water does to it is open.`,
  decent: (mpa, chance) =>
    `Decent for a small block, dry: holds ${mpa}, with ${chance} enough. What water does to it is open.`,
  'open-dry': (mpa, chance, asked) =>
    `Open: holds ${mpa} dry, and the ${asked} that is asked with ${chance}. More blocks would tell.`,
  weak: (mpa, chance, asked) => `Too weak: holds ${mpa} dry where ${asked} is asked; enough with ${chance}.`,
  'shrinks-little': (pct) => `Shrinks ${pct}: little enough.`,
  shrinks: (pct) => `Shrinks ${pct}: more than is good. More sand, or straw.`,
  cracks: (pct) => `Shrinks ${pct}, or cracked: too fat. More sand.`,
  short: (mm) => `Breaks at ${mm}: too little clay to bind.`,
  binds: (mm) => `Holds to ${mm}: it binds, and does not stick.`,
  fat: (mm) => `Holds to ${mm}: fat, it will stick and shrink.`,
  whole: () => 'Stays whole and flattens: too wet, or too much clay.',
  few: () => 'Breaks into a few pieces: moist enough to form.',
  crumbles: () => 'Crumbles: too dry, or too little clay.',
  uneven: () => 'They fall differently: mix it more evenly and drop some more.'
};

/** Trial pieces. */
export const trial = {
  kinds,
  step,
  short,
  drops,
  looks,
  binders,
  says,
  title: 'Trial pieces',
  one: 'Trial pieces',
  newTitle: 'Make trial pieces',
  notFound: 'This set is not here. It may have been taken off.',
  lead: 'A jar alone never says yes. Pieces are made of the mix that is to be built with, and the bench calls when they are to be turned, soaked and crushed.',
  noSample: 'Pieces are made of a sample: take one first.',
  addSample: 'Name a sample',
  kind: 'What is made?',
  sample: 'Of which soil?',
  mix: 'What was mixed in, if anything',
  mixHint: 'such as: 2 buckets of sand to 8',
  binder: 'With cement or lime?',
  noBinder: 'neither',
  binderPct: 'How much of it, % of dry',
  withBinder: (binder: string, pct: string) => `${pct} ${binder}`,
  water: 'Water at forming, % of dry',
  pressure: 'Pressure at forming',
  pressureHint: 'as the gauge shows it: 14 MPa, 2000 psi',
  piston: 'Width of the piston that crushes them',
  area: 'Loaded area, mm², where it is not the whole block',
  box: 'Length of the box inside',
  count: 'How many?',
  soaked: 'How many of them are soaked?',
  cure: 'Days of curing',
  soak: 'Days in water',
  note: 'Note',
  plan: 'Set it on the bench',
  planned: (code: string) => `${code} stands on the bench.`,
  correct: 'Correct the set',
  keep: 'Keep',
  kept: (code: string) => `${code}: kept.`,
  onBench: 'Trial pieces on the bench',
  ofSample: 'Trial pieces of this soil',
  call: (code: string, what: string) => `Pieces ${code}, ${what}`,
  formed: 'They are formed',
  formedBefore: 'They were formed before',
  soakedBefore: 'They went into water before',
  when: 'When was that?',
  needWhen: 'Give the day and the time: what comes after counts from it.',
  did: { turn: 'Turned', damp: 'Wetted' },
  soakNow: 'They lie in the water',
  finish: 'Finish',
  reopen: 'Open it again',
  remove: 'Take the set off',
  done: {
    formed: (code: string) => `${code}: formed. They cure.`,
    turn: (code: string) => `${code}: turned.`,
    damp: (code: string) => `${code}: wetted.`,
    soak: (code: string) => `${code}: in the water.`,
    finish: (code: string) => `${code} is finished.`,
    reopen: (code: string) => `${code} is open again.`,
    remove: (code: string) => `${code} is taken off.`,
    piece: (code: string, no: number) => `${code}: piece ${no} kept.`,
    unpiece: (code: string, no: number) => `${code}: piece ${no} taken off.`
  },
  ahead: 'Trial pieces, in order',
  line: 'From forming to the last block, in days',
  day: (n: number) => `day ${n}`,
  picture: 'A picture',
  pieces: 'Piece by piece',
  piece: (no: number) => `Piece ${no}`,
  dry: 'dry',
  wet: 'soaked',
  curing: 'cures',
  ripe: 'ready to tell',
  inWater: 'in the water',
  toMake: 'to be made',
  fields: {
    drop: 'What became of it?',
    length: { ribbon: 'How long before it broke', box: 'Length of the dry piece' },
    cracked: 'It has cracked',
    sides: ['Length', 'Width', 'Height'],
    mass: 'Dry mass, g',
    wetMass: 'Mass after the soak, g',
    gauge: 'Gauge as it broke',
    look: 'After the soak it',
    note: 'What it looked like'
  },
  keepPiece: 'Keep this piece',
  change: 'Change',
  takeOff: (no: number) => `take off piece ${no}`,
  simulate: 'Crush it on the simulated press',
  simulated: 'simulated',
  simulatedWhy: 'A made-up figure, marked as such in the record.',
  none: 'No piece has told anything yet.',
  strengths: (mean: string, lowest: string, count: number) =>
    count === 1 ? `${mean}, one piece` : `${mean} on average of ${count}, lowest ${lowest}`,
  spread: (sd: string) => `· one piece is off by ${sd}`,
  ratio: (share: string) => `Wet it holds ${share} of what it holds dry.`,
  density: (kg: string) => `${kg} kg/m³ dry`,
  fell: (n: number, of: number) => `${n} of ${of} fell apart in the water.`,
  strength: { dry: 'Dry', wet: 'After the soak' },
  takesUp: (pct: string) => `takes up ${pct} of water`,
  shrinks: (pct: string) => `shrinks ${pct}`,
  working: (gauge: string, piston: string, area: string, force: string) =>
    `${gauge} on a piston of ${piston} is ${force}; over ${area}`,
  made: (count: number, kind: TrialKind) => `${count} ${count === 1 ? kinds[kind].one : kinds[kind].many}`,
  ofThem: (n: number) => `${n} of them soaked`,
  cureFor: (days: string) => `cure ${days} days`,
  soakFor: (days: string) => `${days} in water`,
  formedAt: (when: string) => `formed ${when}`,
  formedWith: (what: string) => `formed with ${what}`,
  ofWater: (pct: string) => `${pct} of water`,
  atPressure: (p: string) => `at ${p}`,
  beside: 'Soils and mixes side by side',
  besideLead: 'Blocks that were crushed: first what holds most after the soak.',
  nothingBeside: 'No set of blocks has told anything yet.',
  stronger: (best: string, other: string, on: 'wet' | 'dry', chance: string) =>
    `${best} holds more ${on} than ${other}, with ${chance}.`,
  alike: (best: string, other: string, on: 'wet' | 'dry', chance: string) =>
    `${best} and ${other} cannot be told apart ${on}: ${best} holds more with ${chance}.`,
  tells: 'What they tell',
  columns: {
    set: 'Set',
    strengths: 'What the blocks hold, MPa: every block a stroke, the bar their mean and its error',
    says: 'What it means'
  },
  scale: (most: string, asked: string) =>
    `From 0 to ${most} MPa; the broken line stands at ${asked} MPa, which is asked after the soak.`,
  saysShort: (what: string, chance: string) => (chance ? `${what}, ${chance}` : what),
  shortly: {
    stabilised: 'stabilised',
    falls: 'fails wet: fell apart',
    'weak-wet': 'fails wet: too weak',
    'open-wet': 'open after the soak',
    typical: 'typical, dry; not soaked',
    decent: 'decent, dry; not soaked',
    'open-dry': 'open, dry; not soaked',
    weak: 'too weak'
  } as Partial<Record<Says, string>>,
  drawing: (code: string, what: string) => `${code}: ${what}`,
  drawn: { told: 'told', water: 'in water', cures: 'curing', made: 'not made yet' },
  next: 'A ball, a ribbon and a box first, then small blocks, with and without a little cement.',
  taskWhy: (sample: string) => `Trial pieces of ${sample}`,
  caution:
    'Cement and lime burn wet skin and eyes: gloves and goggles. Dry soil makes fine dust: damp it or wear a mask. A press wants a guard: stand aside, goggles on, and keep hands off oil under pressure. Small blocks do not say that a wall stands: local codes and a licensed engineer decide.'
};
