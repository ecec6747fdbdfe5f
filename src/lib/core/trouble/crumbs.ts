import type { TroubleRule } from './types.ts';

/** Fall of the sand between two shakes that is more than reading error, as a share of its height. */
const CRUMBS_SHARE = 0.1;
/** Two sand marks can be compared if their times are this near each other. */
const SAME_TIME_SHARE = 0.25;

/** The sand fell after a second shake: what had settled as sand were crumbs of clay and silt. */
export const crumbs: TroubleRule = ({ marks, earlier }) => {
  const now = marks.find((m) => m.layer === 'sand' && m.heightMm !== null);
  const before = earlier
    .flatMap((run) => run.filter((m) => m.layer === 'sand' && m.heightMm !== null))
    .at(-1);
  if (!now || !before) return undefined;
  if (Math.abs(now.timeS - before.timeS) > SAME_TIME_SHARE * before.timeS) return undefined;
  const [wasMm, isMm] = [before.heightMm!, now.heightMm!];
  return wasMm - isMm > CRUMBS_SHARE * wasMm ? { id: 'crumbs', wasMm, isMm } : undefined;
};
