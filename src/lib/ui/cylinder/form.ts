import type { Bulb, CylinderFacts } from '$lib/core';
import { readNumber } from '$lib/workbench/entry/figure';
import { t } from '$lib/words';

/** What is weighed, as it is typed. */
export type FactsForm = {
  airDry: string;
  oven: boolean;
  wet: string;
  dry: string;
  tin: string;
  grains: string;
  bulb: Bulb;
  meniscus: string;
  pipetteMl: string;
  pipetteDepth: string;
  pipetteDose: string;
  sieves: { mesh: string; retained: string }[];
};

/** Names of fields as the core and the server call them. */
export type FactsErrors = Record<string, string | undefined>;

const typed = (value: number) => String(value);

/** The form of facts as they are kept. */
export function formOf(facts: CylinderFacts): FactsForm {
  const { moisture, pipette } = facts;
  return {
    airDry: typed(facts.airDryG),
    oven: moisture === null && (facts.ovenDry ?? true),
    wet: moisture ? typed(moisture.wetG) : '',
    dry: moisture ? typed(moisture.dryG) : '',
    tin: moisture ? typed(moisture.tinG) : '',
    grains: typed(facts.particleDensity),
    bulb: facts.bulb,
    meniscus: typed(facts.meniscus),
    pipetteMl: pipette ? typed(pipette.volumeMl) : '',
    pipetteDepth: pipette ? typed(pipette.depthMm) : '',
    pipetteDose: pipette ? typed(pipette.dispersantG) : '',
    sieves: facts.sieves.map((s) => ({ mesh: typed(s.meshUm), retained: typed(s.retainedG) }))
  };
}

/** Reads the form; what is no number has its sentence beside its field. Whether it can be is for the core to say. */
export function readFacts(
  form: FactsForm,
  kept: CylinderFacts
): { facts?: CylinderFacts; errors: FactsErrors } {
  const errors: FactsErrors = {};
  const number = (text: string, field: string, what: string) => {
    const value = readNumber(text);
    if (Number.isNaN(value)) errors[field] = t.cylinder.number(what);
    return value;
  };
  const c = t.cylinder;
  const facts: CylinderFacts = {
    ...kept,
    airDryG: number(form.airDry, 'airDryG', c.airDry.toLowerCase()),
    ovenDry: form.oven,
    moisture:
      form.oven || [form.wet, form.dry, form.tin].every((text) => text.trim() === '')
        ? null
        : {
            wetG: number(form.wet, 'moisture.wetG', c.wet.toLowerCase()),
            dryG: number(form.dry, 'moisture.dryG', c.dry.toLowerCase()),
            tinG: number(form.tin, 'moisture.tinG', c.tin.toLowerCase())
          },
    particleDensity: number(form.grains, 'particleDensity', c.grains.toLowerCase()),
    bulb: form.bulb,
    meniscus: number(form.meniscus, 'meniscus', c.meniscus.toLowerCase()),
    pipette: kept.pipette && {
      volumeMl: number(form.pipetteMl, 'pipette.volumeMl', c.pipetteMl.toLowerCase()),
      depthMm: number(form.pipetteDepth, 'pipette.depthMm', c.pipetteDepth.toLowerCase()),
      dispersantG: number(form.pipetteDose, 'pipette.dispersantG', c.pipetteDose.toLowerCase())
    },
    sieves: form.sieves
      .filter((s) => s.mesh.trim() !== '' || s.retained.trim() !== '')
      .map((s, i) => ({
        meshUm: number(s.mesh, `mesh.${i}`, c.mesh(i + 1).toLowerCase()),
        retainedG: number(s.retained, `retained.${i}`, c.retained(i + 1).toLowerCase())
      }))
  };
  return Object.keys(errors).length > 0 ? { errors } : { facts, errors };
}
