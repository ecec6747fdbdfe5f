import { untrack } from 'svelte';
import { ulid } from 'ulid';
import { goto } from '$app/navigation';
import { offerUndo } from '$lib/browser/actions';
import { send } from '$lib/browser/outbox.svelte';
import { EstimateWork, ReadingWork } from '$lib/browser/work';
import { metEstimate } from '$lib/contract/met';
import type { Stood } from '$lib/contract/records/run';
import { UNKNOWN_VESSEL, isShare, type NamedVessel } from '$lib/core';
import { t } from '$lib/words';
import type { Profile } from '$lib/words/profile';
import { commandForm } from '../fields/command-form.svelte';
import { keepsDraft } from '../fields/kept.svelte';
import { ReadingForm } from '../read/form.svelte';
import { blankTexts, type ReadingTexts } from '$lib/workbench/entry/texts';
import { rulerFor } from '$lib/workbench/entry/scale';

/** What is said of a jar besides its lines: since when it stands, its vessel and soil, by id, or the soil's name. */
export type KnownTexts = { stood: Stood; vesselId: string; sampleId: string; sampleName: string };

/** A jar that stands already: what was read of it, what is known of it, and how it is kept. Call it while the page is set up. */
export function standingJar(vessels: () => NamedVessel[], profile: () => Profile) {
  const unknown = (): KnownTexts => ({ stood: 'yesterday', vesselId: '', sampleId: '', sampleName: '' });
  let known = $state<KnownTexts>(unknown());
  const vessel = $derived(vessels().find((v) => v.id === known.vesselId) ?? UNKNOWN_VESSEL);
  const blank = () => blankTexts(rulerFor(profile().length), profile().length);
  const form = untrack(() => {
    return new ReadingForm(blank(), {
      vessel,
      waterMm: vessel.shoulderHeightMm
    });
  });
  $effect(() => form.setVessel(vessel));

  /** When what stands in the form was left here without being kept, ms. */
  let leftAt = $state<number>();
  type Draft = { known: KnownTexts; form: Partial<ReadingTexts> };
  const forget = keepsDraft<Draft>(
    'stands',
    (kept, at) => {
      leftAt ??= at;
      known = { ...known, ...kept.known };
      form.takeDraft(kept.form);
    },
    () => ({
      known: $state.snapshot(known),
      form: $state.snapshot(form.texts)
    })
  );

  const entry = $derived(form.entry);
  const reading = $derived(form.reading);
  const work = new ReadingWork();
  $effect(() => void work.ask(reading && $state.snapshot(reading)));
  const worked = $derived(reading ? work.answer : undefined);
  const result = $derived(worked?.result);
  const texture = $derived(result && !isShare(result) ? result : undefined);

  /** What is known of the soil by it; what somebody else made of it has none. */
  const estimate = new EstimateWork();
  const input = $derived(
    texture && entry
      ? metEstimate(entry, { vessel, vesselKnown: known.vesselId !== '', stood: known.stood })
      : undefined
  );
  $effect(() => estimate.ask(input && ($state.snapshot(input) as typeof input)));

  const keepForm = commandForm({
    id: 'stands',
    texts: () => known,
    read: (texts) => {
      if (!entry || !reading) {
        return { errors: { '': form.problem ?? t.stands.need } };
      }
      return {
        errors: {},
        payload: {
          testId: ulid(),
          runId: ulid(),
          readingId: ulid(),
          stood: texts.stood,
          sampleId: texts.sampleId || ulid(),
          sampleName: texts.sampleName,
          vesselId: texts.vesselId || null,
          entry: $state.snapshot(entry)
        }
      };
    },
    keep: async (payload) => {
      const sent = await send('jar.stood', payload);
      forget();
      offerUndo(sent, t.stands.kept, () => goto('/stands'));
      await goto(`/read/${payload.testId}`);
    }
  });

  const view = $derived({
    figures: form.figures,
    result,
    texture,
    region: worked?.region,
    answer: input && estimate.answer,
    expected: input !== undefined && estimate.problem === undefined,
    pending: !estimate.full
  });
  return {
    form,
    keeping: keepForm,
    get leftAt() {
      return leftAt;
    },
    startAfresh() {
      known = unknown();
      form.texts = blank();
      leftAt = undefined;
      forget();
    },
    get known() {
      return known;
    },
    set known(to: KnownTexts) {
      known = to;
    },
    /** What is drawn of it. */
    get view() {
      return view;
    }
  };
}
