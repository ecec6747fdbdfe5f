import { benchCertainty } from './certainty.ts';
import { benchEstimate } from './estimate.ts';
import { benchCylinder } from './cylinder.ts';
import { benchBlend, benchJudge } from './judge.ts';
import { benchGrowth } from './growth.ts';
import { benchKnowPage } from './know-page.ts';
import { benchPhoto } from './photo.ts';
import { benchRecords } from './records.ts';
import { benchServer } from './server.ts';
import { benchTexture } from './texture.ts';
import { benchTimetable } from './timetable.ts';

/** Measures what must stay fast, each beside a reference taken in the same run. Nothing is asserted on a time. */
console.log('Tivrel bench: every figure beside its reference, measured in this run.\n');
benchTexture();
benchCertainty();
benchEstimate();
benchJudge();
benchBlend();
benchTimetable();
benchCylinder();
benchPhoto();
await benchServer();
await benchKnowPage();
await benchGrowth();
await benchRecords();
