import type { LengthUnit } from '../../core/index.ts';

/** English. Words used everywhere: layers, states, what falls due, what is said back. */
export const words = {
  layer: {
    gravel: 'gravel',
    coarse: 'coarse sand',
    sand: 'sand',
    silt: 'silt',
    clay: 'clay',
    skin: 'settled organics',
    surface: 'water',
    organics: 'floating organics'
  },

  /** Short, for a strip of tape. */
  onTape: {
    gravel: 'gravel',
    coarse: 'coarse',
    sand: 'sand',
    silt: 'silt',
    clay: 'clay',
    skin: 'organic',
    surface: 'water'
  },

  Layer: {
    gravel: 'Gravel',
    coarse: 'Coarse sand',
    sand: 'Sand',
    silt: 'Silt',
    clay: 'Clay',
    skin: 'Settled organics',
    surface: 'Water',
    organics: 'Floating organics'
  },

  purpose: { garden: 'Garden', build: 'Building', bore: 'Boring', lesson: 'Lesson' },

  status: { ready: 'not set down', running: 'settling', read: 'read', finished: 'finished' },

  endReason: {
    knocked: 'knocked over or moved',
    foamed: 'too much foam',
    clots: 'clods left in the jar',
    other: 'another reason'
  },

  jarNote: {
    knocked: 'knocked, stands on',
    moved: 'moved',
    rattled: 'rattled when shaken',
    foamed: 'foam on top',
    'topped-up': 'topped up',
    photographed: 'photographed'
  },

  /** What was done or seen before it is told here. */
  earlier: {
    open: 'It was earlier',
    openOf: (what: string) => `It was earlier: ${what}`,
    when: 'When it was',
    keep: 'Keep it so',
    now: 'It is now',
    need: 'Give the day and the time, such as yesterday 14:10.',
    toCome: 'That is still to come. Give a time that has passed.',
    tooEarly: 'That is before it all began. Give a later time.'
  },
  fields: {
    calendar: 'Pick the day from a calendar',
    monthBefore: 'The month before',
    monthAfter: 'The month after',
    time: 'Time of day',
    badDay: 'Write the day as 31 Mar 2026, 31/3/2026, or yesterday.',
    leftOff: (when: string) => `Not kept yet: as you left it ${when}.`,
    startAfresh: 'Start afresh',
    badMoment: 'Give a day and a time of day, such as 31 Mar 2026 and 14:05, or yesterday 14:05.',
    fraction: (text: string, metric: string, unit: string) =>
      `${text} is a fraction, and this ruler is in ${unit}. Of an inch? Then type ${text} in, which is ${metric} ${unit}.`
  },

  /** One line each, where somebody meets a thing for the first time. */
  firstTime: {
    read: 'I see',
    lines: {
      bench:
        'Every jar stands here with what it waits for; what is called stands in front, in blue. Press ? for the keys.',
      prepare: 'Tick as you go: what is ticked stays ticked after a reload and on every device.',
      read: 'Drag a strip to each line you see on the glass, or type its height from the inside bottom.',
      know: 'Two shares fix a point. Press anywhere, or type two; the lines show how a point is read.',
      log: 'Every test stays here for good. Press a code to see its marks, its readings and how it was worked out.'
    }
  },

  units: {
    title: 'Inches or millimetres',
    ask: 'Is your ruler in inches? It can be changed under Profile.',
    inches: 'Inches',
    mm: 'Millimetres'
  },

  unitName: { mm: 'mm', cm: 'cm', in: 'inches' } satisfies Record<LengthUnit, string>,

  common: {
    olderInLog: 'Older ones: begin from their page in the Log',
    cancel: 'Leave it',
    close: 'Close',
    undo: 'Undo',
    undone: 'Taken back.',
    now: 'now',
    today: 'today',
    tomorrow: 'tomorrow',
    yesterday: 'yesterday',
    skip: 'Skip to the work',
    percent: (n: number) => `${n}\u00a0%`
  },

  due: {
    nothing: 'Nothing is waiting',
    nothingMore: 'nothing after that',
    setJar: 'set a jar when you are ready',
    freeFor: (duration: string) => `free for ${duration}`,
    thenFree: (when: string) => `then free until ${when}`,
    now: (code: string, what: string) => `${code} · ${what} now`,
    in: (code: string, what: string, countdown: string) => `${code} · ${what} in ${countdown}`,
    at: (code: string, what: string, when: string) => `${code} · ${what} ${when}`,
    late: (code: string, what: string, duration: string) => `${code} · ${what}, ${duration} late`,
    label: 'What is due next'
  },

  step: {
    shake: 'Shake it',
    shakeShort: 'shake',
    'set-down': 'Set down',
    mark: (layer: string) => `Mark the ${layer}`,
    markShort: (layer: string) => `mark the ${layer}`,
    lower: (tool: string) => `Lower the ${tool}`,
    lowerShort: (tool: string) => `lower the ${tool}`,
    gauge: (tool: string) => (tool === 'pipette' ? 'Draw by pipette' : 'Read the hydrometer'),
    gaugeShort: (tool: string) => (tool === 'pipette' ? 'draw by pipette' : 'read the hydrometer'),
    read: 'Read the layers',
    readShort: 'read the layers',
    finish: 'Finish the test',
    setDownShort: 'set down',
    finishShort: 'finish the test',
    ready: 'ready',
    shaken: 'when shaken',
    shaking: (gone: string, of: string) => `shaking ${gone} of ${of}`,
    shakenEnough: 'shaken enough',
    state: { due: 'due', late: 'late', missed: 'missed' },
    now: 'now',
    in: (countdown: string) => `in ${countdown}`,
    late: (duration: string) => `${duration} late`,
    missed: (layer: string) => `${layer[0].toUpperCase()}${layer.slice(1)} mark missed`,
    missedHint: 'mark late, or shake again',
    farHint: 'by now it would cut another size',
    /** What a late step is still worth. */
    lateHints: {
      mark: 'still worth marking',
      lower: 'still worth reading: its size follows from the true time',
      gauge: 'still worth reading: its size follows from the true time',
      read: 'nothing is lost by waiting',
      finish: '',
      'set-down': 'late against the plan',
      shake: 'late against the plan'
    }
  },

  /** What is asked about a mark as it is pressed. */
  asked: {
    far: (layer: string, time: string) => `The ${layer}, at ${time}?`,
    farLead: (code: string, asked: string, by: string, early: boolean) =>
      `It is kept on ${code} with its true time. The method marks it at ${asked}: this is ${by} too ${early ? 'early' : 'late'}, and parts the soil at another size.`,
    itWas: (layer: string) => `It was the ${layer}`,
    takeOff: 'Take it off',
    keepIt: 'Keep it as it is',
    again: (layer: string, code: string) => `Mark the ${layer} on ${code} too?`,
    againLead: (code: string, layer: string, seconds: number) =>
      `${layer ? `The ${layer} of ${code} was marked` : `${code} was read`} ${seconds === 1 ? 'a second' : `${seconds} seconds`} ago. If you pressed twice for one line, leave it.`,
    which: (clock: string) => `Which jar, at ${clock}?`,
    whichLead: 'What is called changed just as you pressed. The moment of your press is kept.',
    ofJar: (layer: string, code: string) => `The ${layer} of ${code}`,
    markToo: (time: string) => `Mark it, at ${time}`,
    leaveIt: 'Leave it'
  },

  mark: {
    moved: (code: string, layer: string) => `${code}: it is the ${layer} mark now.`,
    removed: (code: string, layer: string) => `${code}: the ${layer} mark is taken off.`,
    timed: (code: string, layer: string, time: string) => `${code}: ${layer} marked at ${time}.`,
    passed: (code: string, layer: string) => `${code}: the ${layer} mark is passed over.`,
    unpassed: (code: string, layer: string) => `${code}: the ${layer} mark can be made again.`,
    zeroed: (code: string) => `${code}: time zero corrected.`,
    topRemoved: (code: string) => `${code}: reading of the top taken off.`
  },

  call: {
    mark: (code: string, layer: string) => `Jar ${code}, mark the ${layer}`,
    read: (code: string) => `Jar ${code}, read the layers`,
    lower: (code: string, tool: string) => `Cylinder ${code}, lower the ${tool}`,
    gauge: (code: string, tool: string) =>
      tool === 'pipette' ? `Cylinder ${code}, draw now` : `Cylinder ${code}, read the hydrometer`,
    shake: (code: string) => `Jar ${code}, shake it now`,
    setDown: (code: string) => `Jar ${code}, set it down`,
    soaked: (code: string) => `Cylinder ${code}, soaked long enough`,
    shaken: (code: string) => `Jar ${code}, shaken long enough`,
    ahead: (line: string, seconds: number) =>
      `${line} in ${seconds < 60 ? `${seconds} seconds` : `${seconds / 60} minutes`}`
  },

  sides: {
    title: 'Marks and bands',
    mark: 'at the mark',
    band: 'at the end',
    by: 'apart',
    means: {
      alike: (layer: string, allowed: string) =>
        `The ${layer} line and its mark agree: reading error explains ${allowed}.`,
      sank: (layer: string) =>
        `The ${layer} line lies under its mark: the bed has packed since, or the mark was made on the cloud. The line at the end is the better of the two.`,
      finer: (layer: string) =>
        `The ${layer} line lies over its mark: some of what came down later looks like ${layer}. By grain size the mark is the better of the two; give the line a wide error.`,
      arrived: () => 'More clay has come down since the last mark. The later line counts.'
    } as Record<'alike' | 'sank' | 'finer' | 'arrived', (layer: string, allowed: string) => string>
  },

  outbox: {
    waiting: (n: number) => (n === 1 ? '1 entry waits to be sent' : `${n} entries wait to be sent`),
    why: 'The server cannot be reached. Times are kept as you pressed.',
    refused: (what: string, why: string) => `Not taken: ${what}. ${why}`,
    unreachable: 'The server cannot be reached. What you entered is still here; try again in a moment.',
    unreadable: (n: number) =>
      n === 1
        ? 'One entry that waits in this browser cannot be read. It stays where it is.'
        : `${n} entries that wait in this browser cannot be read. They stay where they are.`,
    unkept:
      'This browser cannot store what you press. It is sent at once; while the server is away, leave this page open.',
    failed: 'That did not work. What you entered is still here; try again.',
    soundAsleep: 'Sound is off until you press anywhere on this page once.'
  },

  done: {
    'jar.prepare': (code: string) => `${code} is on the shelf, not set down yet.`,
    'jar.set-down': (code: string) => `${code} stands. The clock runs.`,
    'jar.mark': (code: string, layer: string, time: string) => `${code}: ${layer} marked at ${time}.`,
    'jar.shake-again': (code: string) => `${code}: run ended, kept in the record.`,
    'mark.height': (code: string) => `${code}: height kept.`,
    'test.bin': (code: string) => `${code} is in the bin.`,
    'test.reopen': (code: string) => `${code} is open again.`
  },

  enter: {
    title: 'Passphrase',
    lead: 'This bench is shared over a network. Give its passphrase.',
    titlePeople: 'Enter this bench',
    leadPeople: 'Give your name and your passphrase.',
    name: 'Name',
    nameHint: 'Left empty, the passphrase is that of the bench.',
    field: 'Passphrase',
    wrong: 'That is not the passphrase. Try again.',
    wrongPair: 'This name and this passphrase do not belong together. Try again.',
    wait: (seconds: number) => `Too many wrong tries. Wait ${seconds} s, then try again.`,
    go: 'Enter',
    leave: 'Sign this device out',
    leaveLead:
      'This bench is shared. Signed out, this device shows nothing of it; marks that still wait here are sent once somebody enters again.'
  },

  error: {
    title: 'This page did not come',
    back: 'To the bench'
  }
};
