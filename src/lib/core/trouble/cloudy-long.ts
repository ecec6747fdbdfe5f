import type { TroubleRule } from './types.ts';

const DAY_S = 86_400;
/** Nobody waits longer for the water to clear, s. */
const LONG_S = 7 * DAY_S;

/** Cloudy after a week: well-dispersed fine clay, or a sodic soil that disperses by itself. */
export const cloudyLong: TroubleRule = ({ reading }) =>
  reading?.water === 'cloudy' && reading.atS >= LONG_S
    ? { id: 'cloudy-long', days: reading.atS / DAY_S }
    : undefined;
