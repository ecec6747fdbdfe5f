/** English. What a bed is watered with: how much, how often, how fast. */
export const water = {
  title: 'Water',
  area: 'Area, m²',
  roots: 'Depth of the roots',
  stones: 'Stones, % of the volume',
  need: 'Need, mm a week',
  rate: 'What the sprinkler gives, mm/h',
  cover: 'On top',
  covers: { bare: 'bare', mulched: 'mulched' },
  dose: (mm: string, days: string) => `${mm} mm every ${days} days`,
  litres: (litres: string, cans: string, canL: number) => `${litres} L at a time: ${cans} cans of ${canL} L`,
  perMetre: (litres: string) => `${litres} L on each m² at a time`,
  stores: (mm: string, pct: number) =>
    `It can use ${mm} mm of water from its roots; ${pct === 50 ? 'half' : `${pct} %`} of that is given back each time.`,
  fast: (rate: string) => `It takes ${rate} mm an hour at most without running off.`,
  spell: (run: string, rest: string, times: string, mm: number) =>
    `Run the sprinkler for ${run}, rest ${rest}, ${times} times: no more than ${mm} mm then stand on top.`,
  drip: {
    close: (litresH: number, m: number) => `Drippers of ${litresH} L an hour every ${m} m: short and often.`,
    between: (litresH: number, m: number) => `Drippers of ${litresH} L an hour every ${m} m.`,
    wide: (litresH: number, m: number) => `Drippers of ${litresH} L an hour every ${m} m: long and seldom.`
  },
  thumb: (of: 'sand' | 'loam' | 'clay', in100: number, mm: string, store: string) =>
    `A rule of thumb, ${in100} mm in each 100 mm of ${of}, would say ${mm} mm. The ${store} mm that count here are worked out from the sand, clay and humus of this very soil.`,
  drawing: (roots: string, store: string, dose: string) =>
    `The ground down to the roots, ${roots}, with ${store} mm of water in it that plants can use; ${dose} mm are given at a time.`,
  root: 'roots',
  storeShort: (mm: string) => `${mm} mm to use`,
  doseShort: (mm: string) => `${mm} mm a time`,
  days: 'The next two weeks',
  calendar: 'Into the calendar',
  bench: 'Onto the bench',
  benchDone: (name: string) => `${name}: it calls when it is to be watered.`,
  benchName: (what: string) => `Water ${what}`,
  byMonth: 'Need by month',
  byMonthNow: (mm: string) => `This month: ${mm} mm a week.`,
  months: ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'],
  monthWrong: 'Give needs from 1 to 150 mm a week.',
  beside: 'Beside another soil',
  besideNone: 'none',
  besideDose: (code: string, mm: string, days: string) => `${code}: ${mm} mm every ${days} days`,
  besideTakes: (mm: string, rate: string) => `stores ${mm} mm, takes ${rate} mm an hour`,
  task: (litres: number) => `Water the bed: ${litres} L`,
  taskWhy: (mm: string) => `${mm} mm; less what rain has brought since.`,
  edge: 'More clay or organic matter than the equations were made for: these are the figures of their edge.'
};
