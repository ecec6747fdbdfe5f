import type { MarksRule, TroubleFacts } from './types.ts';

/** Fall of the sand between two shakes that is more than reading error, as a share of its height. */
const CRUMBS_SHARE = 0.1;
/** Two sand marks can be compared if their times are this near each other. */
const SAME_TIME_SHARE = 0.25;

const sandsOf = (marks: TroubleFacts['marks']) =>
  marks.flatMap(({ layer, timeS, heightMm }) =>
    layer === 'sand' && heightMm !== null ? [{ timeS, heightMm }] : []
  );

/** The sand fell after a second shake: what had settled as sand were crumbs of clay and silt. */
export const crumbs: MarksRule = ({ marks, earlier }) => {
  const [now] = sandsOf(marks);
  const before = earlier.flatMap(sandsOf).at(-1);
  if (!now || !before) return undefined;
  if (Math.abs(now.timeS - before.timeS) > SAME_TIME_SHARE * before.timeS) return undefined;
  const [wasMm, isMm] = [before.heightMm, now.heightMm];
  return wasMm - isMm > CRUMBS_SHARE * wasMm ? { id: 'crumbs', wasMm, isMm } : undefined;
};
