<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { isInstrument } from '$lib/contract/cylinder';
  import { fromCelsius, TRUE_SAND_LIMITS_UM, usualVessel } from '$lib/core';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import { dropDraft, keepDraft, readDraft } from '$lib/ui/fields/draft';
  import { commandForm, type FieldErrors } from '$lib/ui/fields/command-form.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import { formatFor } from '$lib/words/format';
  import Answer from '$lib/ui/set/Answer.svelte';
  import { answerForm, placeholder, type SetForm } from '$lib/ui/set/form';
  import SampleChoice from '$lib/ui/set/SampleChoice.svelte';
  import OwnVessel from '$lib/ui/set/OwnVessel.svelte';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const DRAFT = 'set';
  const format = $derived(formatFor(page.data.profile, page.data.zone));

  const blank = (): SetForm => ({
    sampleMode: data.samples.length > 0 && data.wanted ? 'old' : 'new',
    sampleId: data.wanted ?? '',
    sampleName: '',
    purpose: 'garden',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    temp: String(Math.round(fromCelsius(18, page.data.profile.temperature))),
    soil: '',
    water: '',
    areaId: '',
    trueMarks: ''
  });
  let form = $state<SetForm>(untrack(blank));
  let ownVessel = $state(false);
  let started = $state(false);

  const vessel = $derived(data.vessels.find((v) => v.id === form.vesselId));
  const methodOf = (key: string) => data.methods.find((m) => m.key === key);
  /** A method that has been taken off the list since the draft was kept gives way to the first. */
  const method = $derived(methodOf(form.methodKey) ?? data.methods[0]);
  const sandUm = $derived(form.trueMarks === '' ? null : (Number(form.trueMarks) as 50 | 63 | 20));
  const answer = $derived(answerForm(form, method, vessel, format.profile, sandUm));
  const chosen = $derived(
    form.sampleMode === 'old' ? data.samples.find((s) => s.id === form.sampleId) : undefined
  );

  onMount(() => {
    const kept = readDraft<SetForm>(DRAFT);
    if (kept)
      form = { ...form, ...kept, ...(data.wanted ? { sampleMode: 'old', sampleId: data.wanted } : {}) };
    const wanted = methodOf(data.wantedMethod ?? '');
    if (wanted) takeMethod(wanted.key);
    started = true;
  });
  $effect(() => {
    const now = $state.snapshot(form);
    if (started) keepDraft(DRAFT, now);
  });

  /** A cylinder method wants a cylinder: the vessel follows, unless it is of that kind already. */
  function takeMethod(key: string) {
    form.methodKey = key;
    const taken = methodOf(key);
    if (!taken) return;
    const tooLow = isInstrument(taken) && (vessel?.innerHeightMm ?? 0) < 300;
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

  const jarForm = commandForm({
    id: 'jar',
    texts: () => form,
    read: () => {
      const { tempC, soilMm, waterMm, plan } = answer;
      const errors: FieldErrors = { ...answer.errors };
      if (form.sampleMode === 'old' && !chosen) errors.sampleId = t.set.sampleMissing;
      if (!vessel) errors.vesselId = t.set.needVessel;
      if (Object.values(errors).some(Boolean)) return { errors };
      if (tempC === undefined || soilMm === undefined || waterMm === undefined || !plan) return { errors };
      return { errors, payload: { tempC, soilMm, waterMm, dispersantMl: plan.dispersantMl } };
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
      started = false;
      dropDraft(DRAFT);
      await goto(`/set/${testId}`);
      offerUndo(sent, t.done['jar.prepare'](sent.done ? (sent.answer.code ?? '') : ''), () => goto('/set'));
    }
  });
  const error = $derived({ ...jarForm.errors, ...answer.errors } as FieldErrors);
</script>

<form
  class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.08fr)] gap-y-0 gap-x-9 pt-6 max-md:grid-cols-1"
  use:jarForm.enhance
  method="POST"
  novalidate
>
  <div class="ask">
    <h1 class="mb-5">{t.set.title}</h1>
    <p class="small stands"><a class="link" href="/stands">{t.stands.fromSet}</a></p>

    <fieldset>
      <legend>{t.set.sample}</legend>
      <SampleChoice bind:form samples={data.samples} areas={data.areas} {error} />
    </fieldset>

    <fieldset>
      <legend>{t.set.vessel}</legend>
      <Field
        label={t.set.vessel}
        error={error.vesselId}
        hint={vessel &&
          t.set.vesselMeasures(
            format.length(vessel.innerHeightMm),
            format.length(vessel.innerDiameterMm),
            format.length(vessel.baseThicknessMm)
          )}
      >
        {#snippet children(entry)}
          <select {...entry} class="select" bind:value={form.vesselId}>
            {#each data.vessels as v (v.id)}<option value={v.id}>{v.name}</option>{/each}
          </select>
        {/snippet}
      </Field>
      {#if ownVessel}
        <OwnVessel
          {format}
          onadded={(id) => {
            form.vesselId = id;
            ownVessel = false;
          }}
        />
      {:else}
        <button type="button" class="link" onclick={() => (ownVessel = true)}>{t.set.vesselOwn}</button>
      {/if}
    </fieldset>

    <fieldset>
      <legend>{t.set.method}</legend>
      <div class="methods">
        {#each data.methods as m (m.key)}
          <label class="flex gap-3 items-center min-h-touch cursor-pointer leading-[1.2]">
            <input
              class="radio"
              type="radio"
              name="method"
              value={m.key}
              checked={m.key === method.key}
              onchange={() => takeMethod(m.key)}
            />
            <strong>{m.name}</strong>
          </label>
        {/each}
      </div>
      <p>
        {method.purpose}
        <span class="faded small">{method.stand}</span>
        <a class="link small" href="/plan/methods/{method.key}">{t.plan.stepsOf}</a>
        <a class="link small" href="/plan/methods">{t.plan.compare}</a>
      </p>
      {#if method.marks.length > 1}
        <Choice
          label={t.set.marksAt}
          bind:value={form.trueMarks}
          options={[
            { value: '', label: t.set.marksAsked },
            ...TRUE_SAND_LIMITS_UM.map((um) => ({ value: String(um), label: t.set.marksTrue(um) }))
          ]}
        />
        <p class="faded small">{form.trueMarks === '' ? t.set.marksAskedHint : t.set.marksTrueHint}</p>
      {/if}
    </fieldset>

    <fieldset
      class="grid-cols-[repeat(3,minmax(0,1fr))] items-start max-md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
    >
      <legend class="col-span-full">{t.set.fill}</legend>
      <Field label={t.set.temperature} hint={t.set.temperatureHint} error={error.temp}>
        {#snippet children(entry)}
          <input {...entry} class="input" bind:value={form.temp} inputmode="decimal" />
        {/snippet}
      </Field>
      {#if !isInstrument(method)}
        <Field label={t.set.soil} hint={t.set.fromBottom} error={error.soilMm}>
          {#snippet children(entry)}
            <input
              {...entry}
              class="input"
              bind:value={form.soil}
              placeholder={placeholder(answer.asked?.soilMm, format.profile)}
            />
          {/snippet}
        </Field>
        <Field label={t.set.water} hint={t.set.fromBottom} error={error.waterMm}>
          {#snippet children(entry)}
            <input
              {...entry}
              class="input"
              bind:value={form.water}
              placeholder={placeholder(answer.asked?.waterMm, format.profile)}
            />
          {/snippet}
        </Field>
      {/if}
      {#if form.soil || form.water}
        <button type="button" class="link" onclick={() => ((form.soil = ''), (form.water = ''))}
          >{t.set.fillReset}</button
        >
      {/if}
    </fieldset>
  </div>

  <div class="answer sticky top-[92px] self-start pt-2">
    <Answer {answer} {method} {vessel} code={chosen?.code ?? '?'} {format}>
      {#if jarForm.errors['']}<p class="wrong" role="alert">{jarForm.errors['']}</p>{/if}
      <div class="go">
        <button class="btn btn-primary" disabled={jarForm.sending}>{t.set.prepare}</button>
      </div>
    </Answer>
  </div>
</form>

<style>
  .stands {
    margin: calc(-1 * var(--spacing-3)) 0 var(--spacing-6);
  }
  fieldset {
    border: 0;
    padding: 0;
    margin: 0 0 var(--spacing-6);
    display: grid;
    gap: var(--spacing-3);
    justify-items: start;
  }
  fieldset :global(.field) {
    width: 100%;
  }
  legend {
    font: 620 var(--text-xl)/1.3 var(--face-head);
    padding: 0 0 var(--spacing-3);
  }
  fieldset:nth-of-type(2) > :global(.field > label) {
    position: absolute;
    clip-path: inset(50%);
    height: 1px;
    overflow: hidden;
  }
  .methods {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(11.5rem, 1fr));
    gap: 0 var(--spacing-5);
    width: 100%;
  }
  .methods + p > * {
    display: block;
    margin-top: var(--spacing-1);
    justify-self: start;
    width: fit-content;
  }
  .go {
    margin-top: var(--spacing-5);
  }
  @media (max-width: 900px) {
    .answer {
      position: static;
    }
    .go {
      position: sticky;
      bottom: var(--foot);
      padding: var(--spacing-3) 0;
      background: var(--paper);
    }
    .go .btn-primary {
      width: 100%;
      min-height: 56px;
    }
  }
</style>
