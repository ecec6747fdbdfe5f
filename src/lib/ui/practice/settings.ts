import {
  fillPlan,
  known,
  methodByKey,
  STANDARD_VESSELS,
  WRONGS,
  type JarSettings,
  type NamedVessel,
  type Wrong
} from '$lib/core';

/** Vessels that are practised with. */
export const VESSELS = ['jar-litre', 'jar-half-litre', 'jar-litre-tall', 'jar-quart'] as const;
export type Practised = JarSettings & { vessel: (typeof VESSELS)[number] };

export const vesselOf = (id: Practised['vessel']): NamedVessel =>
  known(
    STANDARD_VESSELS.find((v) => v.id === id),
    'it ships'
  );

/** How a vessel is filled by the timed marks, as most gardens are tested. */
export function usualFill(id: Practised['vessel']): { soilMm: number; waterMm: number } {
  const { soilMm, waterMm } = fillPlan(methodByKey('jar-timed'), vesselOf(id));
  return { soilMm, waterMm };
}

const USUAL: Practised = {
  vessel: 'jar-litre',
  fractions: { sand: 42, silt: 38, clay: 20 },
  ...usualFill('jar-litre'),
  tempC: 18,
  shakenMin: 10,
  dispersant: true,
  hardWater: false,
  wrong: []
};

/** Settings as an address keeps them. */
export function settingsAddress(o: Practised): string {
  const q = new URLSearchParams({
    vessel: o.vessel,
    ...(o.hidden === undefined
      ? { sand: o.fractions.sand.toFixed(1), clay: o.fractions.clay.toFixed(1) }
      : { hidden: String(o.hidden) }),
    soil: String(o.soilMm),
    water: String(o.waterMm),
    temp: String(o.tempC),
    shaken: String(o.shakenMin),
    dispersant: o.dispersant ? 'yes' : 'no',
    hard: o.hardWater ? 'yes' : 'no'
  });
  if (o.wrong.length > 0) q.set('wrong', o.wrong.join(' '));
  return `?${q}`;
}

/** Settings from an address; what it does not say, or says wrongly, is as usual. */
export function settingsFrom(q: URLSearchParams): Practised {
  const number = (key: string, least: number, most: number, usual: number) => {
    const x = Number.parseFloat(q.get(key) ?? '');
    return Number.isFinite(x) ? Math.min(most, Math.max(least, x)) : usual;
  };
  const vessel = VESSELS.find((id) => id === q.get('vessel')) ?? USUAL.vessel;
  const { shoulderHeightMm } = vesselOf(vessel);
  const usual = usualFill(vessel);
  const sand = number('sand', 1, 98, USUAL.fractions.sand);
  const clay = number('clay', 1, 99 - sand, Math.min(99 - sand, USUAL.fractions.clay));
  const asked = (q.get('wrong') ?? '').split(' ');
  return {
    vessel,
    fractions: { sand, silt: 100 - sand - clay, clay },
    hidden: q.has('hidden') ? Math.round(number('hidden', 1, 1e9, 1)) : undefined,
    soilMm: Math.round(number('soil', 5, 0.75 * shoulderHeightMm, usual.soilMm)),
    waterMm: Math.round(number('water', 60, shoulderHeightMm, usual.waterMm)),
    tempC: Math.round(number('temp', 2, 35, USUAL.tempC)),
    shakenMin: Math.round(number('shaken', 0, 15, USUAL.shakenMin)),
    dispersant: q.get('dispersant') !== 'no',
    hardWater: q.get('hard') === 'yes',
    wrong: WRONGS.filter((w): w is Wrong => asked.includes(w))
  };
}
