import { act } from './act.ts';
import { answerWords } from './answer.ts';
import { benchWords } from './bench.ts';
import { curve, cylinder } from './cylinder.ts';
import { know } from './know.ts';
import { beds, hole } from './hole.ts';
import { seen } from './seen.ts';
import { seasons } from './seasons.ts';
import { groundWords } from './ground.ts';
import { pictureWords } from './picture.ts';
import { figures, profiles } from './profiles.ts';
import { planWords } from './plan.ts';
import { readWords } from './read.ts';
import { recordWords } from './record.ts';
import { people } from './people.ts';
import { drills } from './drills.ts';
import { lessons } from './lessons.ts';
import { practice } from './practice.ts';
import { report } from './report.ts';
import { saving } from './saving.ts';
import { setWords } from './set.ts';
import { standsWords } from './stands.ts';
import { taking } from './taking.ts';
import { trial } from './trial.ts';
import { folder } from './folder.ts';
import { wall } from './wall.ts';
import { words } from './common.ts';
import { work } from './work.ts';

/** English, a file a station or a part of one. Functions take what varies. */
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
    act: 'Act',
    log: 'Log',
    practice: 'Practice',
    profile: 'Profile'
  },
  ...words,
  ...planWords,
  ...groundWords,
  ...benchWords,
  ...setWords,
  ...readWords,
  ...answerWords,
  ...pictureWords,
  ...recordWords,
  ...standsWords,
  act,
  hole,
  beds,
  seasons,
  profiles,
  figures,
  wall,
  trial,
  folder,
  know,
  saving,
  report,
  seen,
  people,
  practice,
  drills,
  lessons,
  taking,
  cylinder,
  curve,
  work
};
