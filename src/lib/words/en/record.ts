import { grouped } from '../grouped.ts';
import { events } from './events.ts';

const counted = (n: number, what: string) => `${grouped(n)} ${what}${n === 1 ? '' : 's'}`;

/** English. The record: tests, samples, the log, laboratory reports, the profile. */
export const recordWords = {
  test: {
    history: 'What happened',
    result: 'Result',
    kept: (when: string, version: string) => `Kept ${when}, core ${version}.`,
    reopened: (when: string) => `Opened again ${when}.`,
    earlier: 'Earlier results',
    reopen: 'Open again',
    reopenWhy: 'Why is it opened again?',
    noResult: 'No result yet.',
    exportCsv: 'CSV',
    exportJson: 'JSON',
    print: 'Print',
    jarOf: 'Sample',
    readings: 'Readings',
    readingAt: (when: string) => `Read ${when}`,
    notFound: 'This test is not here. It may have been emptied from the bin.',
    inBin: 'This test lies in the bin.',
    events,
    undoneMark: 'undone',
    afterFinish: 'came in after the test was finished; kept as a note',
    corrected: (now: string, was: string) => `${now}, was ${was}`,
    unpassed: (layer: string) => `${layer}, not any more`,
    tookIn: (name: string, count: number) => `${name}, ${counted(count, 'row')}`,
    zeroed: (by: string, earlier: boolean, why: string) => `${by} ${earlier ? 'earlier' : 'later'}: ${why}`
  },

  log: {
    title: 'Log',
    setDownWaits: 'set down, waiting to be sent',
    metOn: (day: string) => `entered ${day}`,
    takenOn: (day: string) => `taken ${day}`,
    search: 'Find',
    searchHint: 'code, place, class, method, note',
    sort: 'Sort by',
    sorts: { date: 'date', sample: 'sample', class: 'class' },
    empty: 'Nothing is on record yet. A test appears here as soon as its jar is prepared.',
    noMatch: (text: string) => `Nothing matches “${text}”.`,
    narrow: (n: number) => (n === 0 ? 'Narrow' : `Narrowed by ${n}`),
    filters: {
      siteId: 'Site',
      areaId: 'Area',
      year: 'Season',
      methodKey: 'Method',
      className: 'Class',
      purpose: 'For',
      status: 'State',
      person: 'By',
      importId: 'Table',
      trouble: 'Only with trouble'
    },
    groups: {
      title: 'By area and season',
      noArea: 'of no area',
      tests: (n: number) => (n === 1 ? '1 test' : `${grouped(n)} tests`),
      classes: (n: number, name: string) => (n === 1 ? name : `${name} (${grouped(n)})`),
      nothing: 'nothing finished yet',
      drawing: (area: string, year: string) => `Where the tests ${area} of ${year} lie on the triangle`,
      more: (shown: number, n: number) =>
        `The latest ${shown} stand here; narrow the log to see ${grouped(n)} more.`
    },
    showAll: 'Show all',
    views: {
      title: 'Views that were kept',
      keepThis: 'Keep this view',
      name: 'What to call it',
      keep: 'Keep it',
      kept: (name: string) => `${name} is kept.`,
      gone: (name: string) => `${name} is let go.`,
      letGo: (name: string) => `Let go of ${name}`
    },
    choose: 'Choose several',
    chooseOne: (code: string) => `Choose ${code}`,
    chooseHead: 'Chosen',
    chooseNone: 'Choose none',
    several: 'The tests that are chosen',
    chosen: (n: number) => (n === 0 ? 'None is chosen yet' : `${n} chosen`),
    sideBySide: (n: number) => `${n} side by side`,
    labels: (n: number) => (n === 1 ? 'Label of the sample' : `Labels of ${n} samples`),
    binThem: 'Put in the bin',
    binnedMany: (n: number) => (n === 1 ? 'One test is in the bin.' : `${n} tests are in the bin.`),
    noneSo: 'No test is like that.',
    columns: {
      code: 'Jar',
      sample: 'Sample',
      method: 'Method',
      set: 'Set down',
      fractions: 'Sand · silt · clay',
      class: 'Class, and its chance'
    },
    unreadable: (why: string) => `Cannot be shown: ${why}`,
    doubtful: 'doubtful',
    count: (n: number) => (n === 1 ? '1 test' : `${grouped(n)} tests`),
    range: (from: number, to: number, of: number) =>
      `${grouped(from)} to ${grouped(to)} of ${grouped(of)} tests`,
    pages: 'Further tests',
    before: 'Before these',
    after: 'After these',
    onlyHere: 'The server does not answer: only the tests on this page were searched.',
    bin: 'Bin',
    binTitle: 'Bin',
    binEmpty: 'The bin is empty.',
    binLead: 'Tests stay here until the bin is emptied.',
    restore: 'Take out',
    emptyBin: 'Empty the bin',
    emptyTitle: 'Empty the bin?',
    emptyLead: (n: number) =>
      `${n === 1 ? 'One test goes' : `${grouped(n)} tests go`} for good, with every mark and reading. This cannot be undone.`,
    emptied: 'The bin is empty.',
    binned: (code: string) => `${code} is in the bin.`,
    restored: (code: string) => `${code} is back in the log.`,
    back: 'Back to the log'
  },

  sample: {
    tests: 'Tests of this sample',
    taken: (when: string) => `on record since ${when}`,
    notFound: 'This sample is not here.',
    setJar: 'Set a jar of it',
    edit: 'Write up the sample',
    label: 'Print its label',
    onSketch: 'Its area on the sketch',
    keep: 'Keep the record',
    kept: (code: string) => `${code}: record kept.`,
    empty: 'How it was taken and made ready is not written up yet.',
    hours: (n: number) => `${n} h`,
    depthOrder: 'The lower end must lie below the upper one.',
    replicatesAgree: (codes: string, sand: number, silt: number, clay: number, spread: number) =>
      `${codes} agree within their errors: on average ${sand} % sand, ${silt} % silt, ${clay} % clay, at most ${spread} ${spread === 1 ? 'point' : 'points'} apart.`,
    replicatesDiffer: ([first, second]: [string, string], part: string, points: number) =>
      `${first} and ${second} differ by more than their errors allow: ${points} points of ${part}. The soil may not have been mixed, or one was misread: look at both before going by either.`,
    wholeTooSmall: 'The whole sample is at least what stayed on the sieve. Weigh or measure both alike.',
    gravelShare: (part: string, whole: string, pct: number, word: string) =>
      `${part} of ${whole}: ${pct} % by volume${word ? `, ${word}` : ''}`,
    badNumber: {
      dried: 'Give hours as a number, such as 24.',
      gravel: 'Give an amount as a number, such as 120.'
    },
    guidance: {
      garden:
        'Whole depth from 75 to 150 mm, not just the top: texture changes with depth, and roots use all of it. Under an amended bed sample below the amendment too.',
      build:
        'From below the topsoil: organic matter has no place in a wall. Have buried services located before digging.',
      bore: 'From the face or the depth that will be bored. Have buried services located first; keep out of unsupported trenches.',
      lesson: 'Any soil will do. Gloves on, wash hands after.'
    },
    fields: {
      name: 'Where the soil came from',
      area: 'Area',
      noArea: 'none on a sketch',
      spots: 'Mixed from spots',
      spotsFirst: 'choose the area first',
      takenOn: 'Dug on',
      depth: 'Depth',
      depthFrom: 'Depth from',
      depthTo: 'to',
      dried: 'Dried, hours',
      driedHint: 'In the shade, about a day if damp.',
      sieve: 'Sieved through',
      sieveHint: '2 mm in the lab; a kitchen strainer for the jar.',
      gravel: 'Gravel screened out',
      gravelHint: 'Apart from the texture, but builders want it.',
      gravelWhole: 'Of the whole sample',
      gravelUnit: 'Unit of the gravel',
      takenOut: 'Taken out by hand',
      takenOutHint: 'stones, roots, twigs',
      look: 'Colour, smell, feel, rattle',
      lookHint: 'such as: grey, sticky, rattles in the jar',
      note: 'Note'
    }
  },

  lab: {
    title: 'Laboratory',
    none: 'No report of this sample is on record. A jar will do for most things; a dispute, a build, or a borderline that matters is worth a fee.',
    noPoint: (sum: string) =>
      `The three come to ${sum} %, not 100: nothing can be worked out from this report. Take it off and enter it anew.`,
    add: 'Enter a report',
    name: 'Laboratory',
    date: 'Date of the report',
    share: { sand: 'Sand, %', silt: 'Silt, %', clay: 'Clay, %' },
    organic: 'Organic matter, %',
    organicSaid: (percent: number) => `Organic matter ${percent} %.`,
    limit: 'It parts silt from sand at',
    note: 'Note',
    badPercent: 'Give percent as a number, such as 34.5.',
    keep: 'Keep the report',
    kept: (lab: string) => `Report of ${lab} kept.`,
    remove: 'take off',
    removed: 'Report taken off.',
    from: (lab: string, day: string) => (day ? `${lab}, ${day}` : lab),
    says: (sand: number, silt: number, clay: number, name: string) =>
      `${sand} % sand, ${silt} % silt, ${clay} % clay: ${name}.`,
    moved: (limit: number) => `Measured by ${limit} µm, moved to 50 µm by a straight line in log size.`,
    jar: 'Jar',
    view: 'View',
    byHeight: 'by height',
    byMass: 'by mass',
    difference: 'Sand · silt · clay, less the lab',
    points: 'Apart',
    classOf: 'Class',
    same: 'the same',
    pointsOf: (n: string) => `${n} points`,
    nearer: (view: string, points: string) =>
      `Over these jars the view ${view} is nearer to the laboratory, by ${points} points of soil.`,
    alike: 'Over these jars both views are as near to the laboratory.'
  },

  profile: {
    title: 'Profile',
    lead: 'How you like things shown and said. Kept on the server at once.',
    copies: {
      title: 'Copies of the record',
      lead: 'One a day, by itself: each is opened and counted before it stands here. Seven days are kept, and one of each month for a year.',
      none: 'None was made yet: the first is made within a minute of the start.',
      holds: (tests: number, samples: number, mb: string) =>
        `${counted(tests, 'test')}, ${counted(samples, 'sample')}, ${mb} MB, looked through`,
      failed: (why: string) => `The last copy could not be made. ${why}`,
      now: 'Make a copy now'
    },
    restore: {
      toCopy: 'Go back to it',
      copyOf: (when: string) => `The copy of ${when}`,
      toCopyOf: (when: string) => `Go back to the copy of ${when}`,
      earlier: (n: number) => (n === 1 ? '1 earlier copy' : `${n} earlier copies`),
      save: 'Save the whole bench as a file',
      saving: (pct: number) => `The file is being made: ${pct} % of it is in. The browser then saves it.`,
      pick: 'Bring a bench back from a file',
      hint: 'The file is a zip of every row as JSON, every picture and film, and the log as CSV: it brings the same bench back here or elsewhere. Who may come in is no part of it. A copy is also put back with ./tivrel restore while the server is stopped.',
      looking: 'Looking through it …',
      title: 'Put this bench in the place of the one here?',
      lead: ({ name, found }: { name: string; found: { rows: Record<string, number>; pictures: number } }) =>
        `${name} holds ${counted(found.rows.test ?? 0, 'test')}, ${counted(found.rows.sample ?? 0, 'sample')} and ${counted(found.pictures, 'picture')}; each row was looked through. All that is here now goes.`,
      madeAt: (when: string) => `It was saved ${when}.`,
      copyFirst: 'A copy of what is here is made first, and stands in this list: there is a way back.',
      noCopyFirst:
        'The database is on a server of its own: make a copy there first, for there is no other way back.',
      do: 'Put it in place',
      puttingBack: (name: string) => `Putting ${name} in place …`,
      back: (name: string) => `${name} is in place.`
    },
    length: 'Lengths',
    temperature: 'Temperature',
    volume: 'Water',
    volumes: { L: 'litres, mL', gal: 'quarts, teaspoons' },
    clock: 'Clock',
    clocks: { '24': '18:40', '12': '6:40 pm' },
    theme: 'Light',
    themes: { day: 'day', night: 'night', device: 'as the device' },
    sound: 'Call',
    sounds: { off: 'silent', knock: 'knock', bell: 'bell', reed: 'reed' },
    try: 'Hear it',
    trial: 'Try it',
    trialLine: 'Jar K3, mark the sand',
    trialTitle: '● K3 · mark the sand now',
    tab: 'Title and tab mark',
    tabHint: 'Always on: the tab says what is due, with a mark in pen blue.',
    screen: 'Screen kept on',
    screenHint: 'While a call is less than five minutes away.',
    worked: {
      sound: 'That was the call.',
      spoken: 'It was said.',
      notices: 'The notice is on its way.',
      title: 'Look at the tab: it changes back in five seconds.',
      screen: 'This browser keeps the screen on while a call is near.'
    },
    refused: {
      sound: 'The browser keeps sound asleep. Press anywhere on this page, then try again.',
      spoken: 'This browser cannot speak. The sound and the page still call.',
      notices:
        'This browser shows no notices from this page. Allow them in its settings; the sound still calls.',
      title: 'The tab could not be changed.',
      screen: 'This browser lets the screen go dark. Set a longer time in the settings of the device.'
    },
    spoken: 'Say it aloud',
    notices: 'Notice of the browser',
    onOff: { off: 'no', on: 'yes' },
    noNotices:
      'This browser does not allow notices from this page. Allow them in its settings, then try again.',
    quiet: 'Quiet hours',
    quietHint: 'No sound in these hours. The page still shows what is due. Equal times mean none.',
    quietFrom: 'from',
    quietTo: 'to',
    badTime: 'Type a time such as 22:00 or 10 pm.',
    saved: 'Kept.'
  }
};
