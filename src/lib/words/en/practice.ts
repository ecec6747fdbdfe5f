import type { Mishap } from '../../core/index.ts';

/** English. The jar that settles before one's eyes. */
export const practice = {
  title: 'Practice',
  join: 'You have the code of a lesson? Join it here',
  lead: 'For learners, for teachers, and for anyone before the first real jar. Nothing here touches the record of real tests.',
  rooms: {
    jar: {
      name: 'The settling jar',
      what: 'Fill a jar, set it down, and watch a week of settling in a minute. Lay tape, and see what it cuts.'
    },
    drills: {
      name: 'Drills',
      what: 'Short tasks on the usual mistakes, each with its score and the working of the right answer.'
    },
    cylinder: {
      name: 'Hydrometer and pipette',
      what: 'A day at the cylinder: lower the bulb in time, read the meniscus, keep the blank and the warmth.'
    },
    lessons: {
      name: 'Lessons',
      what: 'One sheet for a class: hand out a code, see who is where, mark, take the table away.'
    }
  },
  back: 'Practice',
  jar: {
    title: 'The settling jar',
    fill: 'Fill it',
    soil: 'Soil in it',
    soilChosen: 'I choose it',
    soilHidden: 'Hidden',
    hiddenNote: 'Somebody else filled it. What it was is told when you ask for it.',
    triangle: 'Soil in the jar: move the point',
    vessel: 'Vessel',
    soilHeight: (height: string) => `Dry soil ${height}`,
    waterHeight: (height: string) => `Water to ${height}`,
    temp: (temp: string) => `Water at ${temp}`,
    shaken: (min: number) => (min === 0 ? 'Not shaken' : `Shaken ${min} min`),
    dispersant: 'Dispersant',
    with: 'With',
    without: 'None',
    water: 'Water',
    soft: 'Soft',
    hard: 'Hard',
    wrong: 'What goes wrong',
    presets: {
      overfilled: 'Overfilled',
      little: 'Too little',
      cold: 'Cold',
      flocs: 'Not dispersed',
      early: 'Read too early'
    },
    mishaps: {
      foam: 'Foam',
      stones: 'Stones',
      knocked: 'Knocked after 15 min',
      tilted: 'Tilted'
    } satisfies Record<Mishap, string>,
    setDown: 'Set it down',
    another: 'Empty it, fill another',
    same: 'From the beginning',
    gone: (time: string) => `${time} after set-down`,
    notYet: 'Just set down',
    play: 'Play',
    hold: 'Hold',
    speed: 'Speed',
    times: (n: number) => `${n.toLocaleString('en')}×`,
    wind: 'Wind to a time',
    alt: (top: string, time: string) => `A jar, ${time}: the top of its sediment stands at ${top}.`,
    waterTitle: 'In the water, g/L',
    waterAlt: (mid: string) => `Solids in the water by height: ${mid} g/L in the middle.`,
    pictureTitle: 'Height against time',
    pictureAlt:
      'The jar over a week: a column a moment, the bed growing from below, the cloud clearing from above.',
    lay: 'Lay tape',
    layHint:
      'At the top of the sediment, now. The first three tapes are taken as the marks of sand, silt and clay.',
    tapes: 'Tapes',
    atTime: 'Laid at',
    height: 'Height',
    under: { sand: 'Of the sand under it', silt: 'Of the silt', clay: 'Of the clay' },
    takeOff: (no: number) => `Take tape ${no} off`,
    say: 'What three tapes say',
    byHeight: 'By height, as a worksheet does it',
    byMass: 'By mass, what really lies between them',
    estimate: 'By mass, as it is estimated here from the tapes',
    truth: 'What is in it',
    reveal: 'Show what is in it',
    hidden: 'hidden',
    offHead: 'Off the truth',
    off: (points: string) => `${points} points off`,
    stopped:
      'Held here: this is when somebody in a hurry would read it. The cloud above is silt and clay that have yet to come down.',
    told: {
      foam: 'Foam hides the water line and holds a twelfth of the fine soil back.',
      stones: 'A fifth of it is stones: fine soil runs into the gaps, and the earth settles on top of them.',
      knocked:
        'Fifteen minutes after set-down a third of the bed goes up again and settles anew, sand over silt.',
      tilted:
        'It leans by 6°: levels stay level, the ruler does not, and every line is read too high on this side.',
      overfilled: 'Over half a jar of soil: grains crowd, hold each other up and come down together.',
      little: 'Layers a few millimetres thick: half a millimetre of ruler is a tenth of one.',
      cold: 'Cold water is thick: everything falls at half the speed of a warm room.',
      flocs: 'Without dispersant in hard water clay hangs together in flocs and falls as silt does.',
      crumbs: 'Shaken too briefly: crumbs of silt and clay fall as sand does.'
    },
    settling: 'The jar is being filled'
  }
};
