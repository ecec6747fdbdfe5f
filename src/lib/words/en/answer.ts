/** English. The answer of a jar: what it is, why, and what would say more. */
export const answerWords = {
  answer: {
    title: 'By mass, from all that is known',
    /** Heights as arithmetic, without a class. */
    asRead: (sand: number, silt: number, clay: number, name: string) =>
      `Heights as read: ${sand} · ${silt} · ${clay} % sand, silt, clay: ${name} by height.`,
    withChance: (name: string, chance: string) => `${name} (${chance})`,
    asReadTitle: 'Heights as read',
    asHeights: 'heights as read',
    or: (first: string, next: string) => `${first} or ${next}`,
    unknown: (sand: number, silt: number, clay: number) =>
      `Not known yet: about ${sand}\u00a0% sand, ${silt}\u00a0% silt, ${clay}\u00a0% clay`,
    impossible: 'Not known: no settling makes these heights',
    impossibleWhy:
      'Whatever the soil, a jar does not come to look like this in that time. No class is given.',
    one: (name: string, chance: string, next: string) => `The class is ${name} with ${chance}${next}.`,
    /** What the chance counts, by what it was read with. */
    counts: {
      jar: 'That counts the ruler, and how soil packs, sinks and clumps.',
      instrument: 'That counts how far the instrument may be misread.'
    },
    next: (name: string, chance: string) => `; next comes ${name} with ${chance}`,
    two: (together: string, first: string, firstChance: string, next: string, nextChance: string) =>
      `One of the two with ${together}: ${first} ${firstChance}, ${next} ${nextChance}.`,
    noClass: (first: string, firstChance: string) =>
      `No class passes a third: the likeliest, ${first}, has ${firstChance}.`,
    /** What to do where nothing is known yet. */
    doMore: {
      bands: 'Measure the bands you see as well.',
      water: 'Note how the water looks.',
      mark: 'Mark the top by the clock as well.',
      time: 'Let it settle, and read again.'
    },
    error: (sand: number, silt: number, clay: number) =>
      `Give or take ${sand} points of sand, ${silt} of silt, ${clay} of clay.`,
    misfit: (what: string) =>
      `These heights cannot well come from one settling; ${what} is furthest off. Was it knocked, or is one line another layer?`,
    unsettled: 'The estimate has not come to rest: another look at the lines would help it more than trust.',
    working: 'Working it out …',
    cannot: (why: string) => `No answer by mass from this: ${why}`,
    why: 'Why',
    whyHint: 'Each thing that is known, and what the answer would be without it.',
    strand: 'Known',
    without: 'Without it',
    pulls: 'It pulls',
    pull: (points: number, layer: string, more: boolean) =>
      points < 1 ? 'hardly' : `${points} ${more ? 'more' : 'less'} ${layer}`,
    holdsAll: 'everything hangs on it',
    fit: 'How the heights fit',
    fitHint: 'What was read, less what a jar of this soil would show, and the error that was counted.',
    fitOf: 'Height',
    off: 'off by',
    evidence: {
      mark: (time: string) => `top at ${time}`,
      bands: 'the bands',
      water: (seen: string) => `the water, ${seen}`,
      'dry-fill': 'the height of the dry soil',
      weighed: 'the weight of the dry soil',
      trouble: {
        knocked: (time: string) => `knocked or moved${time && ` at ${time}`}`,
        foamed: () => 'foam on top',
        'too-full': () => 'over half full of soil',
        rattled: () => 'it rattled when shaken',
        crumbs: () => 'crumbs that fell apart at the second shake',
        stones: () => 'much gravel',
        'dark-skin': () => 'a dark skin on the clay',
        'two-layers': () => 'a layer that was not seen'
      },
      'by-eye': 'the shares by eye',
      calibration: (pairs: number) => `${pairs} jars with a laboratory report`,
      dispersant: (used: boolean) => (used ? 'dispersant was used' : 'no dispersant was used')
    },
    lines: { sand: 'top of the sand', silt: 'top of the silt', clay: 'top of the clay' },
    less: (what: string) => `Counted as less sure: ${what}.`,
    model:
      'Every jar that could look like this was drawn: soils of all kinds, loads, packings, clumps, hands and eyes. What is shown is how many of them are of each kind.',
    helps: 'What would say more',
    help: {
      bands: (time: string) => `Measure the bands you see${time}`,
      water: () => 'Note how the water looks',
      top: (time: string) => `Read the top again${time}`
    },
    helpAt: (time: string) => ` at ${time}`,
    brings: (now: string, then: string) => `the likeliest class then has ${then} on average, not ${now}`,
    /** In lists. */
    short: {
      one: (chance: string) => `, class ${chance}`,
      two: (chance: string) => `, one of them ${chance}`,
      unknown: 'not known yet',
      likeliest: (name: string, chance: string) => `, likeliest ${name} ${chance}`,
      impossible: 'no soil makes these heights'
    },
    /** On the shelf: the likeliest class, and what it would have after the next look. */
    soFarShort: (said: string) => `So far: ${said}`,
    soFarNothing: 'nothing sure',
    helpShort: {
      bands: (time: string, then: string) => `with the bands${time}: ${then}`,
      water: (_: string, then: string) => `with a look at the water: ${then}`,
      top: (time: string, then: string) => `with the top${time}: ${then}`
    },
    soFar: 'What it says so far',
    soFarHint: 'From the tapes and looks there are; it narrows as the jar settles.'
  }
};
