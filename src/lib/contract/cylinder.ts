import {
  USUAL_FACTS,
  type CylinderFacts,
  type CylinderInput,
  type CylinderScheme,
  type RunMethod,
  known
} from '../core/index.ts';
import type { BlankRecord, CylinderSetup, JarRecord } from './records/jar.ts';
import type { GaugeRecord, RunRecord } from './records/run.ts';

/** Whether a test is read with an instrument, and not by layers. */
export function isInstrument(method: Pick<RunMethod, 'readings'>): boolean {
  return (method.readings ?? []).length > 0;
}

/** How sand, silt and clay are told from the readings of a method. */
export function schemeOf(method: Pick<RunMethod, 'kind' | 'readings'>): CylinderScheme {
  if (method.kind === 'pipette') return 'pipette';
  return (method.readings ?? []).length === 2 ? 'two-point' : 'curve';
}

/** The reading of each number that counts: the last one that has a value. */
export function standingGauges(gauges: readonly GaugeRecord[]): (GaugeRecord & { value: number })[] {
  const last = new Map<number, GaugeRecord & { value: number }>();
  for (const g of [...gauges].sort((a, b) => a.at - b.at)) {
    if (g.value !== null) last.set(g.no, { ...g, value: g.value });
  }
  return [...last.values()].sort((a, b) => a.at - b.at);
}

/**
 * What a cylinder test is worked out from; undefined before it has been set down or for a jar.
 *
 * A reading without a temperature of its own takes the one that the test was set with.
 */
export function toCylinderInput(
  test: Pick<JarRecord, 'cylinder' | 'method' | 'tempC'>,
  run: Pick<RunRecord, 'setDownAt' | 'gauges'> | null | undefined,
  blank: BlankRecord | undefined
): CylinderInput | undefined {
  if (!test.cylinder || !run) return undefined;
  const after = (at: number) => (at - run.setDownAt) / 1000;
  return {
    scheme: schemeOf(test.method),
    facts: test.cylinder.facts,
    readings: standingGauges(run.gauges).map(({ no, at, value, tempC }) => ({
      no,
      timeS: after(at),
      value,
      tempC: tempC ?? test.tempC
    })),
    blanks: (blank?.readings ?? []).map(({ at, value, tempC }) => ({ timeS: after(at), value, tempC }))
  };
}

/** Dry dispersant in 20 mL of a litre that 100 mL of a 5 % solution went into, g. */
const USUAL_DRAW_DISPERSANT_G = 0.1;

/** What a cylinder test starts with, before anything has been weighed. */
export function setupFor(method: RunMethod): CylinderSetup | null {
  if (!isInstrument(method)) return null;
  const facts: CylinderFacts = {
    ...USUAL_FACTS,
    airDryG: method.fill.soilG ?? 40,
    pipette:
      method.kind === 'pipette'
        ? {
            volumeMl: 20,
            depthMm: known(method.readings, 'a pipette is read at times')[0].fallMm,
            dispersantG: USUAL_DRAW_DISPERSANT_G
          }
        : null
  };
  return { facts, blankId: null };
}
