/** English. The bench: the shelf, setting a jar, its vessel, and the jar while it stands. */
export const benchWords = {
  bench: {
    title: 'Bench',
    emptyTitle: 'The shelf is empty',
    emptyLead:
      'Fill a jar with a third of soil and water to the neck. Tivrel says how much, keeps the clock, and tells you when to mark each layer.',
    setJar: 'Set a jar',
    another: 'Set another jar',
    planThem: (n: number) => `Plan when to set down ${n} jars`,
    shelf: 'Jars on the shelf',
    drawn:
      'Deposits and cloud are drawn as the physics expects them by now for an even loam, and through the heights you measured.',
    drawnSmaller: ' Tall cylinders are drawn smaller than jars.',
    unreadable: (code: string, why: string) => `${code} cannot be shown: ${why}`,
    ribbon: 'The coming hours',
    later: (n: number) => (n === 1 ? '1 more later' : `${n} more later`),
    quiet: 'quiet hours',
    mark: (layer: string, code: string) => `Mark the ${layer} on ${code}`,
    marked: (layer: string, code: string) => (layer ? `${code}: ${layer} marked` : `${code}: taken`),
    open: (code: string, name: string) => `Open ${code}, ${name}`,
    /** Short, for buttons under a line that says the whole. */
    do: {
      mark: 'Mark',
      marked: 'Marked',
      read: 'Read',
      lower: 'Read',
      gauge: 'Read',
      finish: 'Finish',
      'set-down': 'Prepare',
      shake: 'Prepare'
    },
    doTo: {
      read: (code: string) => `Read ${code}`,
      lower: (code: string) => `Read ${code}`,
      gauge: (code: string) => `Read ${code}`,
      finish: (code: string) => `Finish ${code}`,
      'set-down': (code: string) => `Prepare ${code}`,
      shake: (code: string) => `Prepare ${code}`
    }
  },
  jar: {
    overRim: (height: string) => `This vessel is only ${height} high inside. Measure again.`,
    setDownAt: (when: string) => `Set down ${when}`,
    notSet: 'Not set down yet',
    stands: (duration: string) => `stands ${duration}`,
    elapsed: (duration: string) => `${duration} ago`,
    marks: 'Tape on the glass',
    noMarks: 'No marks yet.',
    markNow: (layer: string) => `Mark the ${layer} now`,
    early: (duration: string) => `${duration} early`,
    late: (duration: string) => `${duration} late`,
    onTime: 'on time',
    cutsNow: (size: string) => `cuts at ${size} µm`,
    isOfSize: (size: string, layer: string) => `a mark of ${size} µm, not the ${layer} line`,
    cutsInstead: (size: string, asked: string) => `cuts at ${size} µm instead of ${asked}`,
    height: 'Height',
    heightOf: (layer: string, code: string) => `Height of the ${layer} mark on ${code}`,
    heightSave: 'Keep height',
    heightLater: 'give it when you like',
    replaced: 'replaced by a later mark',
    pending: 'waiting to be sent',
    noteIt: 'Note, with the time:',
    countedOnce: 'pressed twice, counted once, the earlier',
    noted: (code: string, what: string) => `${code}: ${what}, noted.`,
    otherMethod: 'Another method',
    takeMethod: 'Take it',
    methodTaken: (code: string, method: string) => `${code} goes by ${method} now.`,
    setCopy: 'Set a copy of it that way',
    byMethod: (name: string, version: number) => `${name}, version ${version}`,
    withTrueMarks: 'with true marks for this jar',
    shakeAgain: 'Shake again',
    shakeAgainTitle: (code: string) => `Shake ${code} again?`,
    shakeAgainLead:
      'This run ends here and is kept in the record. A new run starts when you set the jar down again.',
    shakeAgainWhy: 'What happened?',
    shakeAgainDo: 'End this run',
    read: 'Read the layers',
    readEarly: 'Read early',
    prepare: 'Go on preparing',
    ended: (reason: string) => `ended: ${reason}`,
    run: (n: number) => `Run ${n}`,
    bin: 'Put in the bin',
    facts: 'How it was set',
    working: 'Show the working'
  },
  correct: {
    short: 'correct…',
    open: (layer: string, time: string) => `Correct the ${layer} mark at ${time}`,
    title: (layer: string, time: string) => `The ${layer} mark at ${time}`,
    lead: 'What was pressed stays in the record of what happened.',
    layer: 'It is the top of the',
    time: 'Truly marked, after set-down',
    gaugeTime: 'Truly read, after set-down',
    timeHint: 'such as 1:05, 2 h 5 or 1h30; empty leaves it',
    keep: 'Keep the correction',
    keepMark: 'Keep the mark',
    askedAt: (when: string) => `asked for at ${when}`,
    passed: 'passed over',
    early: (layer: string) => `Mark the ${layer} early`,
    earlier: (layer: string) => `I marked the ${layer} earlier`,
    pass: (layer: string) => `Pass the ${layer} over`,
    unpass: 'make it after all',
    zeroLink: 'Correct time zero',
    zeroTitle: (code: string) => `When did ${code} stand still?`,
    zeroLead: (was: string) =>
      `Set-down was taken at ${was}. Every time of this run counts from it; the old one stays in the record.`,
    zero: 'It stood still at, to the second',
    zeroKeep: 'Correct it',
    why: 'Why it was wrong',
    whyHint: 'pressed late, say',
    needWhy: 'Say why in a few words: the record keeps it.'
  },
  settled: {
    title: 'Is it settled?',
    silt: (when: string, done: boolean) =>
      done ? `The finest silt is down, since ${when}.` : `The finest silt is down ${when}.`,
    siltWhy: 'By then 2 µm has fallen the whole column of this jar.',
    siltMark: (after: string) =>
      `The silt line is marked before that, at ${after}, as the method has it: what falls later is counted with the clay.`,
    few: (missing: number) =>
      missing === 4
        ? 'Readable: read the top of the sediment four times over some hours, and the jar itself says when it stands still.'
        : `Readable: ${missing} more ${missing === 1 ? 'reading' : 'readings'} of the top tell when it stands still.`,
    unsure: 'Readable: the top does not bend towards an end yet. Read it again in some hours.',
    hardly: (when: string) => `The top hardly moves, but silt comes down until ${when}: read it after that.`,
    moving: (when: string, left: string) => `Readable after ${when}: the top will still move ${left}.`,
    still: (left: string) => `Readable now: the top will move by ${left} at most, less than a ruler shows.`,
    stillUp: (low: number, high: number) =>
      low === high
        ? `About ${low} % of the clay is still up.`
        : `Of the clay, ${low} to ${high} % is still up.`,
    early: 'You may read it at any time: the result then says what is still up.',
    top: 'Top of the sediment now',
    keep: 'Keep it',
    kept: (code: string, height: string) => `${code}: top at ${height}.`,
    list: 'Readings of the top',
    curve: (n: number) => `The top over time, ${n} readings`
  },
  keys: {
    title: 'Keys',
    lead: 'None of these fire while you type.',
    list: [
      ['n', 'the next thing due'],
      ['1 – 9', 'pick a vessel on the shelf'],
      [
        'm',
        'mark what is called, read the hydrometer or the water in a hole: the time is taken as the key goes down'
      ],
      ['s', 'set down the jar on this page, or the picked one'],
      ['r', 'read the picked jar'],
      ['t', 'the triangle'],
      ['/', 'find in the log'],
      ['?', 'this sheet']
    ] as [string, string][],
    button: 'Keys',
    picked: (code: string) => `${code} picked`,
    noMark: 'No mark is due. Pick a jar with its number first.',
    noMarkHere: 'Nothing is to be marked on this jar.',
    noSetDownHere: 'This jar does not wait to be set down.',
    noSetDown: 'No jar waits to be set down.',
    noRead: 'Pick a jar with its number first.'
  }
};
