/** English. Pictures and films of a jar, and what goes wrong with one. */
export const pictureWords = {
  picture: {
    lead: 'A picture straight from the front, at the height of the layers, with a ruler beside the glass or two known heights of it in view.',
    how: 'Put the two crosses on known heights, lay the strip on clear glass, then say what each line is the top of.',
    choose: 'Choose a picture',
    camera: 'Use the camera',
    bench: 'Simulated bench camera',
    kept: 'Pictures kept of this jar',
    useKept: (n: number) => `Read from picture ${n}`,
    opening: 'Opening …',
    sees: 'What the camera sees',
    takeNow: 'Take it',
    noCamera: 'The browser gives no camera. Allow it for this page, or choose a picture.',
    stage: 'The picture, with the scale and the strip on it',
    nearer: 'Nearer',
    lowPoint: 'Lower known height',
    highPoint: 'Upper known height',
    lowHeight: 'Height at the lower cross',
    highHeight: 'Height at the upper cross',
    rulerAgrees: 'The ruler beside the glass agrees with both heights.',
    rulerSays: (height: string) =>
      `By the marks of the ruler beside the glass the upper cross stands at ${height.replace(' ', '\u00a0')}.`,
    byRuler: 'Take it from the ruler',
    places: { bottom: 'inside bottom', water: 'water line', shoulder: 'shoulder', rim: 'rim' },
    moveStrip: 'Strip, aside',
    stripFoot: 'Lower end of the strip',
    stripHead: 'Upper end of the strip',
    width: 'Width of the strip',
    square: 'Straighten by four corners',
    squareNow: 'Straighten',
    squareHow:
      'Put the corners on something upright and square: the ruler, the label, the jar itself. Upper left first, then round.',
    squareFound: 'The corners are proposed on the walls of the glass. Move any that is off.',
    unsquare: 'As it was taken',
    corner: (i: number) =>
      ['Upper left corner', 'Upper right corner', 'Lower right corner', 'Lower left corner'][i],
    stretch: 'Stretch pale colours',
    chart: (n: number) =>
      `Colours of the strip from the bottom up, with ${n === 1 ? 'one line' : `${n} lines`}`,
    found: (n: number) => (n === 0 ? 'No line found' : n === 1 ? 'One line found' : `${n} lines found`),
    lines: 'Lines on the strip',
    line: (name: string, height: string) => `Line at ${height}, ${name}`,
    topOf: (height: string) => `The line at ${height} is the top of`,
    noName: 'not a layer',
    plain: (n: number) => `plain to ${n} %`,
    byHand: 'by hand',
    drop: 'take off',
    dropLine: (height: string) => `Take off the line at ${height}`,
    water: {
      clear: 'By its colour the water over it is clear.',
      hazy: 'By its colour the water over it is hazy.',
      cloudy: 'By its colour the water over it is cloudy.'
    },
    addLine: 'Add a line',
    mineBack: 'Put my lines back',
    askNames: 'Say what each line is the top of: those without a name are left out.',
    onLabel: (from: string, to: string) =>
      `From ${from} to ${to} the strip lies on a label or something else before the soil. Move it to clear glass: what is found there is not the soil’s.`,
    onEdge:
      'One side of the strip lies on the edge of the glass, or beside it. Move it inwards: what is found there is not the soil’s.',
    toClear: 'Move it to clear glass',
    anew: 'Find them anew',
    take: 'Take these lines',
    taken: 'Lines taken over from the picture.',
    twice: (name: string) => `Two lines are both the top of ${name}. Change one of them.`,
    nameOne: 'Say of at least one line what it is the top of.',
    by: 'Read',
    bys: { ruler: 'by ruler', picture: 'from a picture' }
  },
  photos: {
    title: 'Pictures',
    add: 'Add a picture',
    take: 'Take a picture',
    sending: 'Sending …',
    added: (of: string) => `Picture of ${of} kept.`,
    remove: 'take off',
    removed: 'Picture taken off.',
    again: (name: string) => `Try ${name} again`,
    alt: (of: string, when: string) => `Picture of ${of}, ${when}`,
    tooLarge: 'This file is over 15 MB. Make the picture smaller.'
  },
  film: {
    title: 'Height-time picture',
    pictures: (n: number) => (n === 1 ? '1 picture' : `${n} pictures`),
    lead: 'A camera left on a stand takes a picture every few seconds at first, then ever fewer. Side by side they show the sediment growing and the cloud falling, and the jar reads itself.',
    makeOne: 'Film this jar',
    makeAnother: 'Make another film',
    source: 'From',
    sources: { camera: 'this camera', folder: 'a folder of pictures' },
    how: {
      camera:
        'Stand the device still before the jar and leave this page open: it films as long as it is. The screen stays on where the browser allows.',
      folder:
        'Pictures of one camera that did not move. When they were taken is told by the seconds in their names, by the camera, or by the files.'
    },
    first: 'Take a first picture',
    firstAgain: 'Take it again',
    choose: 'Choose the pictures',
    chosen: (pictures: string) => `${pictures} chosen. The strip is laid on the last.`,
    every: 'One picture every',
    everyHint: 'Only where the pictures do not say. The first stands for that long after set-down.',
    layStrip:
      'Put the crosses on two known heights and the strip on clear glass, from the bottom to under the water line. It holds for every picture.',
    begin: 'Begin to film',
    make: 'Make the picture',
    stop: 'Stop filming',
    reading: (n: number) => `Reading picture ${n + 1} …`,
    filming: (pictures: string) => `Filming: ${pictures}.`,
    next: (time: string) => `Next at ${time} after set-down.`,
    threeFiles: 'Choose three pictures at least, taken one after another.',
    outsideRun:
      'These times do not lie between the set-down of this run and now. Give the step from one picture to the next.',
    sameTime: 'Several pictures have one time. Give the step from one picture to the next.',
    few: (pictures: string) => `${pictures} so far: three make a row.`,
    notSet: 'Set the jar down first: there is nothing to film yet.',
    time: 'Time',
    scales: { log: 'first minutes wide', even: 'even hours' },
    which: 'Which film',
    alt: (n: number, from: string, to: string) =>
      `Height-time picture of ${n} pictures, from ${from} to ${to} after set-down`,
    read: 'Time across, height up. Blue: the top of the sediment. Dots: where the cloud is half as thick as at the bed.',
    down: (layer: string) => `${layer} down`,
    layers: 'What the film says of the layers',
    byMass: 'From the curve of the film, as from timed marks; bands and water, once they are read, say more.',
    end: 'last picture',
    front: (speed: string, size: string) =>
      `The cloud falls ${speed} mm an hour along a straight line: grains of ${size} µm lead it.`,
    toReading: 'Put these heights into the reading',
    keepTops: 'Keep the tops as readings',
    topsKept: (n: number) => `${n} readings of the top kept.`,
    remove: 'take this film off',
    removed: 'Film taken off.',
    open: 'Height-time picture'
  },
  trouble: {
    title: 'What may have gone wrong',
    now: 'Now:',
    name: {
      'too-full': 'Too much soil',
      'too-thin': 'Too little soil',
      stones: 'Not screened',
      foam: 'Foam',
      knocked: 'Knocked or moved',
      'no-dispersant': 'No dispersant',
      'over-shoulder': 'Over the shoulder',
      'cloudy-long': 'Cloudy for days',
      'cleared-soon': 'Clear too soon',
      'read-early': 'Read early',
      'marks-fall': 'A mark below the one before it',
      'two-layers': 'Only two layers',
      crumbs: 'Crumbs read as sand',
      'dark-skin': 'A dark skin on top',
      rattle: 'Rattled when shaken'
    },
    why: {
      'too-full': (share: string, speed: string) =>
        `The dry soil filled ${share} of the straight wall: at set-down every grain went at ${speed} of its speed in clear water, and sizes settled together.`,
      'too-thin': (total: string, points: string) =>
        `All that settled is ${total}: half a millimetre on one line moves a share by ${points} points.`,
      stones: (share: string) => `${share} of what settled is gravel: its gaps are filled with finer stuff.`,
      foam: 'Foam was noted: it hides the water line and carries fines at the top.',
      knocked: 'It was knocked or moved while it stood: layers mix where they meet.',
      'no-dispersant': (dose: string) =>
        `The method asks for ${dose} a litre, and none went in: clay holds together in crumbs.`,
      'over-shoulder': (top: string, shoulder: string) =>
        `The layers reach to ${top}, the wall is straight to ${shoulder}: above that a height is no volume.`,
      'cloudy-long': (days: number) =>
        `After ${days} days the water is still cloudy: very fine clay is up, or the soil disperses by itself, as sodic soils do.`,
      'cleared-soon': (hours: number, up: string) =>
        `The water was clear after ${hours} h, when ${up} of the clay should still be up: it came down in flocs, by lime, salt or hard water.`,
      'read-early': (minutes: number, up: string) =>
        `It was read after ${minutes} min, with ${up} of the clay still up.`,
      'marks-fall': (layer: string, by: string) =>
        `The ${layer} mark lies ${by} under the one before it. A bed packs, but not by so much in that time.`,
      'two-layers': (layer: string) =>
        `No ${layer} was placed: there is little of it, its line is faint, or it is still up.`,
      crumbs: (was: string, is: string) =>
        `At the same time after set-down the sand stood at ${was} before it was shaken again, and at ${is} now: some of it was crumbs.`,
      'dark-skin': (skin: string, points: string) =>
        `${skin} of settled organic matter lie on the clay. Read as clay they would add ${points} points.`,
      rattle: 'It rattled while it was shaken: stones, or dry crumbs that have not come apart.'
    },
    todo: {
      'too-full': 'start again with a third.',
      'too-thin': 'start again with more soil or in a narrower jar, or take the wide range as it is.',
      stones: 'sieve, weigh the gravel apart, and start again with what went through.',
      foam: 'wait, or repeat with a non-foaming kind and roll the jar instead of shaking it.',
      knocked: 'shake it again and start the clock anew; this run stays in the record.',
      'no-dispersant': 'add it and shake again if the clay matters.',
      'over-shoulder':
        'read only the straight part, or repeat in a taller vessel. So much clay-rich soil is probably over half clay.',
      'cloudy-long':
        'read it, and say that the water is cloudy: clay is then a range. For a wall or a pond bank have it tested: dispersive ground washes out.',
      'cleared-soon': 'shake again with distilled or rain water and dispersant.',
      'read-early': 'keep this reading as an early one, and read again when the method says.',
      'marks-fall': 'measure both again, from the inside bottom, at eye level.',
      'two-layers': 'wait if the water is cloudy; else place the line by the timed mark, with a wide error.',
      crumbs: 'soak it, add dispersant, and shake until the sand no longer falls.',
      'dark-skin':
        'look at its colour and feel it: organic matter is dark and fibrous, clay is smooth. Keep its line apart.',
      rattle: 'sieve out and weigh the stones, or soak the crumbs overnight, then shake again.'
    },
    effect: {
      'too-full': 'Shares run into each other; sand is overstated.',
      'too-thin': 'The class is less sure than usual; the percentages say so.',
      stones: 'Gravel is no part of the texture, but it hides the sand line.',
      foam: 'The top line is unsure.',
      knocked: 'Every line is less sure than its reading error says.',
      'no-dispersant': 'Clay is understated, silt and sand overstated.',
      'over-shoulder': 'The uppermost layer is overstated by height.',
      'cloudy-long': 'Clay as read is too low.',
      'cleared-soon': 'Clay has settled with the silt: silt is overstated and loose.',
      'read-early': 'Clay as read is too low; the estimate by mass adds what should come.',
      'marks-fall': 'One of the two layers is wrong by that much.',
      'two-layers': 'The missing share is counted as nothing.',
      crumbs: 'The first run overstated the sand; this one is nearer.',
      'dark-skin': 'None as it is read now: organic matter is no size, and does not count.',
      rattle: 'Stones and crumbs lie at the bottom and are read as sand.'
    }
  }
};
