import type { WallAdvice } from '../../core/index.ts';

const next: Record<WallAdvice, string> = {
  'run-jar': 'Run a jar of it: nothing is known of its shares yet.',
  settle: 'Open as it is: settle it with another jar or a weighed one, or mix it.',
  blend: 'Not as it is: look on the blend bench for what it takes.',
  'whole-jar':
    'Not as it is, and one share alone cannot be mixed: run a jar that shows all three, or a jar of it with sand.',
  'no-blend': 'Nothing at hand mends it: find what is missing, or another soil.',
  'jar-of-mix': 'Mix it as the blend bench says, and run a jar of the mix.',
  pieces: 'A jar alone never says yes. A ball, a ribbon and a shrinkage box first; then small blocks.',
  blocks: 'Small blocks, plain and with a little cement; crush some dry and some soaked.',
  wait: 'Blocks are under way: wait for what they say.',
  soak: 'Dry it holds: make some more and soak them, for the wet decides.',
  'more-blocks': 'The blocks leave it open: make more of the same.',
  binder: 'Fails wet without a binder: try some with cement or lime, or build where it stays dry.',
  stronger: 'Fails even so: another share of binder, another mix, or another soil.',
  engineer:
    'The blocks hold. They do not say that the wall stands: local codes and a licensed engineer come next.'
};

/** What is advised next for a wall, and folders for a client. */
export const folder = {
  next,
  nextTitle: 'Next',
  atOnce: 'What is advised next, soil by soil',
  title: 'Folders for clients',
  lead: 'Soils that somebody else sent, under their numbers: windows, blend, trial pieces and what is advised next, on one paper.',
  link: 'Folders for clients',
  newTitle: 'A new folder',
  none: 'No folder yet.',
  notFound: 'This folder is not here. It may have been taken off.',
  name: 'What is it called?',
  nameHint: 'such as: Boat-store wall, three soils',
  sender: 'Who sent the soils?',
  received: 'When did they come?',
  note: 'What is asked',
  soils: 'The soils',
  sample: 'Sample',
  theirs: 'Their number',
  addSoil: 'Another soil',
  off: (code: string) => `take ${code} out`,
  noSample: 'none',
  make: 'Make the folder',
  keep: 'Keep',
  change: 'Change the folder',
  remove: 'Take the folder off',
  print: 'Print the report',
  made: (name: string) => `${name}: the folder is made.`,
  kept: (name: string) => `${name}: kept.`,
  removed: (name: string) => `${name} is taken off.`,
  from: (sender: string) => `Sent by ${sender}`,
  came: (day: string) => `received ${day}`,
  printed: (day: string) => `as of ${day}`,
  count: (n: number) => `${n} ${n === 1 ? 'soil' : 'soils'}`,
  our: (code: string) => `our ${code}`,
  noTest: 'No test of it is finished yet.',
  noSoil: 'This sample is not here any more.',
  test: (code: string, shares: string) => `By ${code}: ${shares}.`,
  pieces: 'Trial pieces',
  keptBlend: (day: string) => `Blend, kept ${day}`,
  empty: 'No soil is in it yet.',
  caution:
    'A jar says what a soil is made of, trial blocks what small pieces hold. Neither is structural design: local codes and a licensed engineer decide. Cement and lime burn wet skin and eyes; dry soil makes dust; a press wants a guard.'
};
