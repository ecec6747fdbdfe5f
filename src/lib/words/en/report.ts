/** English. What is handed out: a test, a sample, a site. */
export const report = {
  title: 'Report',
  link: 'Report',
  ofSample: (code: string, name: string) => `Sample ${code}: ${name}`,
  ofSite: (name: string) => `Soil of ${name}`,
  made: (when: string) => `Made ${when}`,
  foot: 'Made with Tivrel.',
  counts: (areas: number, samples: number, tests: number) =>
    [
      areas > 0 ? `${areas} ${areas === 1 ? 'area' : 'areas'}` : '',
      `${samples} ${samples === 1 ? 'sample' : 'samples'}`,
      `${tests} ${tests === 1 ? 'test' : 'tests'}`
    ]
      .filter(Boolean)
      .join(', '),
  sketch: 'The ground',
  areas: 'Areas',
  areasHead: ['Area', 'For', 'Samples', 'What its tests say'],
  samples: 'Samples',
  samplesHead: ['Sample', 'Where from', 'Area', 'Dug on', 'Depth', 'Sieved through'],
  noTest: 'nothing finished yet',
  taken: 'How it was taken and made ready',
  tests: 'Tests',
  testsHead: ['Jar', 'Sample', 'Method', 'Set down', 'Sand', 'Silt', 'Clay', 'Class, and its chance'],
  more: (shown: number, n: number) => `The newest ${shown} stand here; ${n} more stand in the log.`,
  triangle: 'On the texture triangle',
  lab: 'From a laboratory',
  labHead: ['Laboratory', 'Day', 'Sand', 'Silt', 'Clay'],
  verdicts: 'What was decided',
  verdictHead: ['Day', 'Of', 'Verdict'],
  elsewhere: 'percentages',
  holes: 'Drainage holes',
  holesHead: ['Hole', 'Measures', 'Comes to'],
  holeOpen: 'nothing was seen yet',
  pieces: 'Trial pieces',
  piecesHead: ['Set', 'Sample', 'Mix', 'Comes to'],
  how: 'How it was done',
  methods: (name: string, n: number) => `${name}: ${n} ${n === 1 ? 'test' : 'tests'}`,
  sure: 'How sure it is',
  sureLines: [
    'A class stands with its chance: where it says 90 %, it is right nine times in ten. Where two classes are named, one of them is meant.',
    'Shares are percent by mass of the earth under 2 mm, estimated from all that is known of a jar, or weighed; where a test says “as read”, they are heights.'
  ],
  cautions: 'Mind',
  general:
    'A jar tells texture. It says nothing of lead, asbestos, feed or strength: those want a laboratory or an engineer, and local codes rule.',
  letterhead: 'Letterhead of reports',
  letterheadHint: 'Who you are, in up to four lines; it stands over every report.',
  print: 'Print',
  pdf: 'PDF',
  html: 'One HTML file',
  back: { test: 'Back to the test', sample: 'Back to the sample', site: 'Back to the sketch' },
  notThere: 'There is nothing to report of this yet. Finish a test of it first.'
};
