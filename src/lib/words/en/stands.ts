/** English. A jar that stands already: met, not set down. */
export const standsWords = {
  stands: {
    link: 'It stands already',
    fromSet: 'It stands already? Say what you see',
    emptyLead: 'Or you hold one that has settled: three heights give a first answer.',
    title: 'It stands already',
    lead: 'A jar that has settled, set down by whomever: say what you see. Its soil, its vessel, a picture and the rest can come later.',
    what: 'What do you have?',
    ways: {
      heights: 'heights',
      eye: 'shares by eye',
      others: 'somebody’s numbers',
      smeared: 'no line'
    },
    smeared:
      'No line is to be seen: clay stands smeared up to the top. It counts as over half clay; how much more nobody can read from this jar.',
    shareHints: { sand: 'about half', silt: 'a quarter', clay: '25 %' },
    shareNote:
      'Two are enough: the third is the rest. Of one alone, sand or clay, that share is the answer. An eye errs by about 5 points.',
    follows: (pct: number) => `${pct} %: the rest`,
    whose: 'Whose numbers',
    answer: 'What it says',
    need: 'The answer comes with the third height, or two and the whole; one and the whole give one share.',
    keep: 'Keep it on the bench',
    keepNote: 'It can be finished, added to and corrected there.',
    kept: 'Kept, as a jar that stood already.',
    more: 'What else is known',
    howLong: 'It has stood',
    stood: { hours: 'some hours', yesterday: 'since yesterday', days: 'some days', unknown: 'I do not know' },
    vessel: 'Its vessel',
    vesselUnknown: 'not noted',
    soil: 'Its soil',
    nameLater: 'may be named later',
    about: {
      hours: 'stood some hours when it was met',
      yesterday: 'stood since the day before when it was met',
      days: 'stood some days when it was met',
      unknown: 'stood already; nobody knows how long'
    },
    filledUnseen: 'It stood already: how it was filled was not seen.',
    turn: 'It stood already',
    turnTitle: (code: string) => `${code} stood already?`,
    turnLead: 'Its clock is let go: no mark falls due any more, and its layers are read as they lie.',
    turnDo: 'It stood already',
    turned: (code: string) => `${code}: read it as it stands.`
  }
};
