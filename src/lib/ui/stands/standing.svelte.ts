import { untrack } from 'svelte';
import { ulid } from 'ulid';
import { goto } from '$app/navigation';
import { offerUndo } from '$lib/browser/actions';
import { send } from '$lib/browser/outbox.svelte';
import { EstimateWork, ReadingWork } from '$lib/browser/work';
import { metEstimate } from '$lib/contract/met';
import { toJarReading } from '$lib/contract/reading';
import { judgeReading, outcomeOf, UNKNOWN_VESSEL, isShare, type NamedVessel } from '$lib/core';
import { t } from '$lib/words';
import type { Profile } from '$lib/words/profile';
import { commandForm } from '../fields/command-form.svelte';
import { keepsDraft } from '../fields/kept.svelte';
import { ReadingForm } from '../read/form.svelte';
import { blankTexts, type ReadingTexts } from '../read/texts';
import { readShares, type KnownTexts, type ShareTexts } from './shares';

/** How somebody comes by what stands in a jar: heights, an eye's guess of shares, or what others said. */
export const WAYS = ['heights', 'eye', 'others'] as const;

/** A jar that stands already: what was read of it, what is known of it, and how it is kept. Call it while the page is set up. */
export function standingJar(vessels: () => NamedVessel[], profile: () => Profile) {
  let way = $state<(typeof WAYS)[number]>('heights');
  let known = $state<KnownTexts>({ stood: 'yesterday', vesselId: '', sampleId: '', sampleName: '' });
  let shareTexts = $state<ShareTexts>({ sand: '', silt: '', clay: '', by: '' });
  const vessel = $derived(vessels().find((v) => v.id === known.vesselId) ?? UNKNOWN_VESSEL);
  const form = untrack(() => {
    const unit = profile().length;
    return new ReadingForm(blankTexts(unit === 'in' ? 'sixteenths' : 'mm'), {
      unit,
      temperature: profile().temperature,
      vessel,
      waterMm: vessel.shoulderHeightMm
    });
  });
  $effect(() => form.setVessel(vessel));

  type Draft = { way: typeof way; known: KnownTexts; shares: ShareTexts; form: Partial<ReadingTexts> };
  const forget = keepsDraft<Draft>(
    'stands',
    (kept) => {
      way = kept.way;
      known = { ...known, ...kept.known };
      shareTexts = { ...shareTexts, ...kept.shares };
      form.takeDraft(kept.form);
    },
    () => ({
      way,
      known: $state.snapshot(known),
      shares: $state.snapshot(shareTexts),
      form: { ...$state.snapshot(form.texts), unit: form.unit }
    })
  );

  const shared = $derived(way === 'heights' ? undefined : readShares(shareTexts, way));
  /** How the water looks is asked of whoever looks at the jar, of heights or of shares. */
  const looked = $derived(way === 'eye' && form.texts.water !== '' ? { water: form.texts.water } : {});
  const entry = $derived(shared ? shared.entry && { ...shared.entry, ...looked } : form.entry);
  /** The entry as the core takes it; what it refuses stands beside its field already. */
  const reading = $derived.by(() => {
    if (!entry) return undefined;
    const made = toJarReading(entry, { vessel, waterMm: vessel.shoulderHeightMm });
    return outcomeOf(() => judgeReading(made, 'usda', { draws: 50 })).problem ? undefined : made;
  });
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
        const first = shared && Object.values(shared.errors)[0];
        return { errors: { '': first ?? (shared ? undefined : form.problem) ?? t.stands.need } };
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
      await goto(payload.entry.figures ? `/tests/${payload.testId}` : `/read/${payload.testId}`);
    }
  });

  const view = $derived({
    /** Shares as they were read, where heights were not. */
    shared,
    figures: entry?.figures,
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
    get way() {
      return way;
    },
    set way(to: (typeof WAYS)[number]) {
      way = to;
    },
    get known() {
      return known;
    },
    set known(to: KnownTexts) {
      known = to;
    },
    get shareTexts() {
      return shareTexts;
    },
    set shareTexts(to: ShareTexts) {
      shareTexts = to;
    },
    /** What is drawn of it. */
    get view() {
      return view;
    }
  };
}
