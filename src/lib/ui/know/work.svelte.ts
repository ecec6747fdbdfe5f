import { wrap, type Remote } from 'comlink';
import type { CylinderInput, DensityGrid, JarReading, SystemId } from '$lib/core';
import { Latest } from '../state/latest.svelte';
import type { CertaintyEndpoint } from '$lib/workers/certainty.worker';
import type { CylinderEndpoint } from '$lib/workers/cylinder.worker';

let jars: Remote<CertaintyEndpoint> | undefined;
let cylinders: Remote<CylinderEndpoint> | undefined;

/** What is asked: how sure is this test, under a system? */
export type TintQuestion =
  { system: SystemId; jar: JarReading } | { system: SystemId; cylinder: CylinderInput };

/** Probability of each class, and the 90 % region. */
export type Tint = {
  probabilities: Record<string, number>;
  region: DensityGrid | undefined;
  system: SystemId;
};

const byId = (classes: { id: string; probability: number }[]) =>
  Object.fromEntries(classes.map((c) => [c.id, c.probability]));

async function ask(question: TintQuestion): Promise<Tint> {
  const { system } = question;
  if ('cylinder' in question) {
    cylinders ??= wrap<CylinderEndpoint>(
      new Worker(new URL('../../workers/cylinder.worker.ts', import.meta.url), { type: 'module' })
    );
    const { result, region } = await cylinders.judgeCylinder(question.cylinder, system);
    return { probabilities: byId(result.classes), region, system };
  }
  jars ??= wrap<CertaintyEndpoint>(
    new Worker(new URL('../../workers/certainty.worker.ts', import.meta.url), { type: 'module' })
  );
  const { result, region } = await jars.judgeReading(question.jar, system);
  return { probabilities: result.kind === 'share' ? {} : byId(result.classes), region, system };
}

/** Works the tint of a test out in a worker, under any system. */
export class TintWork extends Latest<TintQuestion, Tint> {
  constructor() {
    super(ask);
  }
}
