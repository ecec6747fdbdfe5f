import { expose } from 'comlink';
import { jarEstimator, type EstimateInput } from '../core/estimate/estimate-jar.ts';
import {
  whatSettles,
  whatSettlesOfJar,
  type SettlingStep,
  type ToSettle
} from '../core/judge/what-settles.ts';

const quick = jarEstimator();
const endpoint = {
  whatSettles,
  /** With what the jar itself would show. */
  ofJar(o: ToSettle, jar: EstimateInput, ageS: number): SettlingStep[] {
    return whatSettlesOfJar(o, { ...jar, ...quick({ ...jar, effort: 'first' }) }, ageS);
  }
};
export type SettleEndpoint = typeof endpoint;
expose(endpoint);
