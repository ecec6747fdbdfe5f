import { fillPlan } from './fill.ts';
import type { NamedVessel } from '../vessel/vessel.ts';
import type { RunMethod } from './types.ts';

/** A jar that is to be set, as the list of things to gather sees it. */
export type JarToSet = {
  method: RunMethod;
  vessel: NamedVessel;
  soilMm: number;
  waterMm: number;
  dispersantMl: number;
};

/** Things that every bench, or only some methods, ask for. */
export type Tool =
  | 'sieve'
  | 'scale'
  | 'spoon'
  | 'tape'
  | 'ruler'
  | 'thermometer'
  | 'stopper'
  | 'hydrometer'
  | 'pipette'
  | 'oven'
  | 'blank'
  | 'distilled'
  | 'lid'
  | 'bucket'
  | 'gloves'
  | 'mask';

/** What to have at hand before the first jar is filled. */
export type Gathering = {
  vessels: { name: string; count: number }[];
  /** Loose dry soil for the fills, mL; to be dug: half as much again, for what is screened out and spilt. */
  soilMl: number;
  digMl: number;
  waterMl: number;
  /** Non-foaming detergent by the spoon, and 5 % hexametaphosphate solution, mL: two things, and never summed. */
  detergentMl: number;
  solutionMl: number;
  tools: Tool[];
};

/** Dug over filled: what is screened out, spilt, or kept for a second jar. */
const DIG_FACTOR = 1.5;

/** Sums up what the jars ask for: vessels by name, soil, water and dispersant by volume, and the tools for their steps. */
export function gatherFor(jars: readonly JarToSet[]): Gathering {
  const counts = new Map<string, number>();
  let [soilMl, waterMl, detergentMl, solutionMl] = [0, 0, 0, 0];
  const tools = new Set<Tool>(
    jars.length > 0 ? ['sieve', 'scale', 'bucket', 'mask', 'thermometer', 'ruler'] : []
  );
  for (const { method, vessel, soilMm, waterMm, dispersantMl: dose } of jars) {
    counts.set(vessel.name, (counts.get(vessel.name) ?? 0) + 1);
    const plan = fillPlan(method, vessel, { soilMm, waterMm });
    soilMl += plan.soilMl;
    waterMl += plan.waterMl;
    tools.add(vessel.kind === 'jar' ? 'lid' : 'stopper');
    tools.add('tape');
    const lab = method.kind === 'hydrometer' || method.kind === 'pipette';
    if (lab) solutionMl += method.dispersant.mlPerL;
    else detergentMl += dose;
    if (method.kind === 'hydrometer' || method.kind === 'pipette') {
      for (const tool of [method.kind, 'oven', 'distilled'] as const) tools.add(tool);
      if (method.kind === 'hydrometer') tools.add('blank');
    }
    if (!lab && dose > 0) tools.add('spoon');
    if (lab || dose > 0) tools.add('gloves');
  }
  const vessels = [...counts].map(([name, count]) => ({ name, count }));
  return { vessels, soilMl, digMl: soilMl * DIG_FACTOR, waterMl, detergentMl, solutionMl, tools: [...tools] };
}
