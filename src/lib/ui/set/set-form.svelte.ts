import { onMount, untrack } from 'svelte';
import { ulid } from 'ulid';
import { goto } from '$app/navigation';
import { offerUndo } from '$lib/browser/actions';
import { send } from '$lib/browser/outbox.svelte';
import { isInstrument } from '$lib/contract/cylinder';
import type { SampleRecord } from '$lib/contract/records/sample';
import { usualVessel, type Method, type NamedVessel } from '$lib/core';
import { t } from '$lib/words';
import type { Profile } from '$lib/words/profile';
import { commandForm, type FieldErrors } from '../fields/command-form.svelte';
import { keepsDraft } from '../fields/kept.svelte';
import { answerForm, FILL_MEASURED, takenFor, type SetForm } from './form';

type Offered = {
  samples: SampleRecord[];
  vessels: NamedVessel[];
  methods: Method[];
  /** Sample and method that the address asks for. */
  wanted: string | null;
  wantedMethod: string | null;
};

/** A cylinder lower than this leaves no depth for a bulb or the tip of a pipette, mm. */
const INSTRUMENT_LEAST_MM = 300;

/** A jar that is being set: what was typed, what follows from it, and how it is kept. Call it while the page is set up. */
export function jarToSet(offered: () => Offered, profile: () => Profile) {
  const blank = (): SetForm => ({
    sampleMode: offered().samples.length > 0 && offered().wanted ? 'old' : 'new',
    sampleId: offered().wanted ?? '',
    sampleName: '',
    purpose: 'garden',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    temp: '',
    soil: '',
    water: '',
    areaId: '',
    trueMarks: ''
  });
  let form = $state<SetForm>(untrack(blank));
  const methodOf = (key: string) => offered().methods.find((m) => m.key === key);
  const vessel = $derived(offered().vessels.find((v) => v.id === form.vesselId));
  /** A method that has been taken off the list since the draft was kept gives way to the first. */
  const method = $derived(methodOf(form.methodKey) ?? offered().methods[0]);
  const sandUm = $derived(form.trueMarks === '' ? null : (Number(form.trueMarks) as 50 | 63 | 20));
  const answer = $derived(answerForm(form, method, vessel, profile(), sandUm));
  const sample = $derived(
    form.sampleMode === 'old' ? offered().samples.find((s) => s.id === form.sampleId) : undefined
  );

  /** A vessel of one's own is described on the page and not kept: the one of the list is not what is meant. */
  let describing = $state(false);
  /** When what stands in the form was left here without being kept, ms. */
  let leftAt = $state<number>();
  const forget = keepsDraft<SetForm>(
    // What was meant for one soil does not go to another.
    untrack(() => `set:${offered().wanted ?? ''}`),
    (kept, at) => {
      form = { ...form, ...kept };
      leftAt ??= at;
    },
    () => $state.snapshot(form),
    FILL_MEASURED
  );
  onMount(() => takeMethod(offered().wantedMethod ?? ''));

  /** A cylinder method wants a cylinder: the vessel follows, unless it is of that kind already. */
  function takeMethod(key: string) {
    const taken = methodOf(key);
    if (!taken) return;
    form.methodKey = key;
    const tooLow = isInstrument(taken) && (vessel?.innerHeightMm ?? 0) < INSTRUMENT_LEAST_MM;
    const usual = usualVessel(taken).id;
    // A bottle is for the five minutes alone; a jar that somebody chose stays for every method of jars.
    const bottle = [usual, form.vesselId].some((id) => id === 'bottle-half-litre');
    if (vessel?.kind !== taken.vesselKind || tooLow || bottle) form.vesselId = usual;
  }

  async function sampleIdToUse(): Promise<string> {
    if (form.sampleMode === 'old') return form.sampleId;
    const sampleId = ulid();
    const areaId = form.areaId || null;
    await send('sample.add', { sampleId, name: form.sampleName, purpose: form.purpose, areaId });
    // The sample is on record from here on: a second try must not make it again.
    form.sampleMode = 'old';
    form.sampleId = sampleId;
    return sampleId;
  }

  const keeping = commandForm({
    id: 'jar',
    texts: () => form,
    read: () => {
      const { tempC, soilMm, waterMm, plan } = answer;
      const errors: FieldErrors = { ...answer.errors };
      if (form.sampleMode === 'old' && !sample) errors.sampleId = t.set.sampleMissing;
      if (describing) errors.vesselId = t.set.vesselUnkept;
      else if (!vessel) errors.vesselId = t.set.needVessel;
      if (Object.values(errors).some(Boolean)) return { errors };
      if (tempC === undefined || soilMm === undefined || waterMm === undefined || !plan) return { errors };
      const payload = { tempC, soilMm, waterMm, dispersantMl: plan.dispersantMl };
      return { errors, payload: { ...payload, notMeasured: takenFor(form, method) } };
    },
    names: { name: 'sampleName' },
    keep: async (column) => {
      const testId = ulid();
      const sent = await send('jar.prepare', {
        testId,
        sampleId: await sampleIdToUse(),
        vesselId: form.vesselId,
        methodKey: method.key,
        trueSandUm: sandUm,
        ...column
      });
      forget();
      await goto(`/set/${testId}`);
      offerUndo(sent, t.done['jar.prepare'](sent.done ? (sent.answer.code ?? '') : ''), () => goto('/set'));
    }
  });

  const view = $derived({
    vessel,
    method,
    answer,
    sample,
    errors: {
      ...keeping.errors,
      ...answer.errors,
      // Kept, or left: what was said of it is answered.
      ...(!describing && keeping.errors.vesselId === t.set.vesselUnkept ? { vesselId: undefined } : {})
    } as FieldErrors
  });
  return {
    keeping,
    takeMethod,
    get describing() {
      return describing;
    },
    set describing(to: boolean) {
      describing = to;
    },
    get leftAt() {
      return leftAt;
    },
    startAfresh() {
      form = blank();
      leftAt = undefined;
      forget();
    },
    get texts() {
      return form;
    },
    set texts(to: SetForm) {
      form = to;
    },
    /** What is drawn of it. */
    get view() {
      return view;
    }
  };
}
