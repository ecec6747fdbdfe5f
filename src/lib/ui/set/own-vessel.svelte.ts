import { ulid } from 'ulid';
import { lengthForField, withWidths, type ProfilePoint } from '$lib/core';
import { send } from '$lib/browser/outbox.svelte';
import type { Format } from '$lib/words/format';
import { commandForm, type FieldErrors } from '../fields/command-form.svelte';
import { blankVessel, capacities, checkByWater, VESSEL_FIELDS, VESSEL_MEASURED, vesselOf } from './vessel';

/** A vessel of one's own as it is described: what was typed, the vessel it makes, its check by water, and its keeping. */
export function ownVessel(formatNow: () => Format, onadded: (id: string) => void) {
  const format = $derived(formatNow());
  const unit = $derived(format.profile.length);
  let texts = $state(blankVessel());
  const answer = $derived(vesselOf(texts, unit));
  const form = commandForm({
    id: 'vessel',
    texts: () => texts,
    read: (typed) => {
      const read = vesselOf(typed, unit);
      return {
        errors: read.errors ?? {},
        payload: read.vessel && { vesselId: ulid(), name: typed.name, ...read.vessel }
      };
    },
    command: 'vessel.add',
    keep: async (payload) => {
      await send('vessel.add', payload);
      onadded(payload.vesselId);
    },
    draft: { key: 'vessel', take: (kept) => (texts = { ...texts, ...kept }), measured: VESSEL_MEASURED }
  });
  /** What is wrong is said once somebody has tried to add it, and stays true as they type. */
  const errors = $derived<FieldErrors>({
    ...form.errors,
    ...(Object.keys(form.errors).length > 0 ? answer.errors : {})
  });
  const view = $derived({
    errors,
    vessel: answer.vessel,
    fields: VESSEL_FIELDS[texts.way].filter(
      (key) =>
        texts.kind === 'jar' ||
        texts.way !== 'inside' ||
        (key !== 'shoulderHeightMm' && key !== 'mouthDiameterMm')
    ),
    water: answer.vessel && checkByWater(answer.vessel, texts, format.profile),
    holds: answer.vessel && capacities(answer.vessel)
  });

  /** Takes diameters as they are, in place of what was typed. */
  function usePairs(points: readonly ProfilePoint[]): void {
    texts.way = 'profile';
    texts.pairs = points.map((p) => ({
      height: lengthForField(p.heightMm, unit),
      diameter: lengthForField(p.diameterMm, unit)
    }));
  }

  return {
    form,
    get texts() {
      return texts;
    },
    /** What is drawn of it. */
    get view() {
      return view;
    },
    usePairs,
    /** Makes it as wide as the water that it held says. */
    fit(): void {
      const { vessel, water } = view;
      if (!vessel || !water?.check) return;
      const wide = withWidths(vessel, water.check.diameterFactor);
      if (wide.profile) return usePairs(wide.profile);
      texts.innerDiameterMm = lengthForField(wide.innerDiameterMm, unit);
      texts.mouthDiameterMm = lengthForField(wide.mouthDiameterMm, unit);
      texts.innerHeightMm = lengthForField(wide.innerHeightMm, unit);
      texts.shoulderHeightMm = lengthForField(wide.shoulderHeightMm, unit);
      texts.way = 'inside';
    }
  };
}
