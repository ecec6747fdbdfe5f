import { benchWords } from './bench.en';
import { curve, cylinder } from './cylinder.en';
import { know } from './know.en';
import { planWords } from './plan.en';
import { readWords } from './read.en';
import { recordWords } from './record.en';
import { saving } from './saving.en';
import { standsWords } from './stands.en';
import { words } from './words.en';
import { work } from './work.en';

/** English, a file a station. Functions take what varies. */
export const en = {
  product: 'Tivrel',
  stations: {
    all: 'Stations',
    more: 'More',
    fewer: 'Fewer',
    plan: 'Plan',
    bench: 'Bench',
    read: 'Read',
    know: 'Know',
    log: 'Log',
    profile: 'Profile'
  },
  ...words,
  ...planWords,
  ...benchWords,
  ...readWords,
  ...recordWords,
  ...standsWords,
  know,
  saving,
  cylinder,
  curve,
  work
};
