<!--
  @component A vessel of one's own: measured inside, by its outside and capacity, by diameters at heights, or traced on a
  picture. It is drawn as it is understood, and can be checked by filling it and weighing the water.
-->
<script lang="ts">
  import Fold from '../kit/Fold.svelte';
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { isStraight, lengthForField, type ProfilePoint, withWidths } from '$lib/core';
  import Choice from '../fields/Choice.svelte';
  import { commandForm, type FieldErrors } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import type { Format } from '$lib/words/format';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import VesselDrawing from '../vessel/VesselDrawing.svelte';
  import TraceOutline from './TraceOutline.svelte';
  import { blankVessel, capacities, checkByWater, VESSEL_FIELDS, VESSEL_WAYS, vesselOf } from './vessel';

  type Props = { format: Format; onadded: (id: string) => void };
  let { format, onadded }: Props = $props();

  const unit = untrack(() => format.profile.length);
  let texts = $state(blankVessel());
  let tracing = $state(false);

  const answer = $derived(vesselOf(texts, unit));
  const vesselForm = commandForm({
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
    draft: { key: 'vessel', take: (kept) => (texts = { ...texts, ...kept }) }
  });
  /** What is wrong is said once somebody has tried to add it, and stays true as they type. */
  const errors = $derived<FieldErrors>({
    ...vesselForm.errors,
    ...(Object.keys(vesselForm.errors).length > 0 ? answer.errors : {})
  });
  const fields = $derived(
    VESSEL_FIELDS[texts.way].filter(
      (key) =>
        texts.kind === 'jar' ||
        texts.way !== 'inside' ||
        (key !== 'shoulderHeightMm' && key !== 'mouthDiameterMm')
    )
  );
  const water = $derived(answer.vessel ? checkByWater(answer.vessel, texts, format.profile) : undefined);
  const holds = $derived(answer.vessel && capacities(answer.vessel));
  const scale = $derived(answer.vessel ? 190 / (answer.vessel.innerHeightMm + 12) : 1);

  /** Takes diameters as they are, in place of what was typed. */
  function usePairs(points: readonly ProfilePoint[]) {
    texts.way = 'profile';
    texts.pairs = points.map((p) => ({
      height: lengthForField(p.heightMm, unit),
      diameter: lengthForField(p.diameterMm, unit)
    }));
  }
  function fit() {
    if (!answer.vessel || !water?.check) return;
    const wide = withWidths(answer.vessel, water.check.diameterFactor);
    if (wide.profile) return usePairs(wide.profile);
    texts.innerDiameterMm = lengthForField(wide.innerDiameterMm, unit);
    texts.mouthDiameterMm = lengthForField(wide.mouthDiameterMm, unit);
    texts.innerHeightMm = lengthForField(wide.innerHeightMm, unit);
    texts.shoulderHeightMm = lengthForField(wide.shoulderHeightMm, unit);
    texts.way = 'inside';
  }
</script>

<form class="own" use:vesselForm.enhance method="POST" novalidate>
  <Field label={t.set.vesselName} error={errors.name}>
    {#snippet children(entry)}<input
        {...entry}
        class="input"
        bind:value={texts.name}
        maxlength="60"
      />{/snippet}
  </Field>
  <Choice
    label={t.set.vesselKind}
    bind:value={texts.kind}
    options={[
      { value: 'jar', label: t.set.vesselJar },
      { value: 'cylinder', label: t.set.vesselCylinder }
    ]}
  />
  <Choice
    label={t.vessel.way}
    bind:value={texts.way}
    options={VESSEL_WAYS.map((value) => ({ value, label: t.vessel.ways[value] }))}
  />
  <div class="both">
    <div class="typed">
      {#if texts.way === 'profile'}
        <table class="pairs">
          <thead>
            <tr
              ><th class="text-left font-medium pb-1" scope="col">{t.vessel.height}</th><th
                class="text-left font-medium pb-1"
                scope="col">{t.vessel.diameter}</th
              ></tr
            >
          </thead>
          <tbody>
            {#each texts.pairs as pair, i (i)}
              <tr>
                <td class="py-1 pr-3 pl-0">
                  <input
                    class="input"
                    aria-label="{t.vessel.height} {i + 1}"
                    bind:value={pair.height}
                    placeholder={unit}
                    aria-invalid={errors[`pairs.${i}`] ? 'true' : undefined}
                    aria-describedby={errors[`pairs.${i}`] ? `pair-${i}-error` : undefined}
                  />
                </td>
                <td class="py-1 pr-3 pl-0">
                  <input
                    class="input"
                    aria-label="{t.vessel.diameter} {i + 1}"
                    bind:value={pair.diameter}
                    placeholder={unit}
                  />
                </td>
                <td class="py-1 pr-3 pl-0">
                  {#if texts.pairs.length > 2}
                    <button
                      type="button"
                      class="link"
                      aria-label={t.vessel.dropPair(i + 1)}
                      onclick={() => texts.pairs.splice(i, 1)}>{t.vessel.drop}</button
                    >
                  {/if}
                </td>
              </tr>
              {#if errors[`pairs.${i}`]}
                <tr>
                  <td class="py-1 pr-3 pl-0" colspan="3"
                    ><p class="wrong small" id="pair-{i}-error" role="alert">{errors[`pairs.${i}`]}</p></td
                  >
                </tr>
              {/if}
            {/each}
          </tbody>
        </table>
        {#if errors.profile}<p class="wrong small" role="alert">{errors.profile}</p>{/if}
        <p class="row-of-actions">
          <button type="button" class="link" onclick={() => texts.pairs.push({ height: '', diameter: '' })}
            >{t.vessel.morePairs}</button
          >
          <button type="button" class="link" onclick={() => (tracing = !tracing)}>{t.vessel.trace}</button>
        </p>
        {#if tracing}
          <TraceOutline {format} onpoints={usePairs} />
        {/if}
      {/if}
      <div class="measures">
        {#each fields as key (key)}
          <Field label={t.vessel.fields[key as 'wallMm']} error={errors[key]}>
            {#snippet children(entry)}
              <input
                {...entry}
                class="input"
                bind:value={texts[key as 'wallMm']}
                inputmode="decimal"
                placeholder={key === 'capacityMl' ? 'mL' : key === 'wallMm' ? `2.5 mm` : unit}
              />
            {/snippet}
          </Field>
        {/each}
        <Field label={t.vessel.fields.domeMm} error={errors.domeMm}>
          {#snippet children(entry)}
            <input {...entry} class="input" bind:value={texts.domeMm} placeholder="0 mm" />
          {/snippet}
        </Field>
        <Field label={t.vessel.fields.graduationMl} error={errors.graduationMl}>
          {#snippet children(entry)}
            <input {...entry} class="input" bind:value={texts.graduationMl} placeholder={t.vessel.noScale} />
          {/snippet}
        </Field>
      </div>
    </div>
    {#if answer.vessel && holds}
      <div class="seen">
        <VesselDrawing
          vessel={answer.vessel}
          {scale}
          code=""
          waterMm={answer.vessel.shoulderHeightMm}
          soilMm={0}
          layers={[]}
          lid={false}
          tapeRoom={4}
        />
        <p class="small">{t.vessel.holds(format.volume(holds.rimMl), format.volume(holds.shoulderMl))}</p>
        <p class="small faded">{isStraight(answer.vessel) ? t.vessel.straight : t.vessel.shaped}</p>
      </div>
    {/if}
  </div>

  {#if answer.vessel}
    <Fold label={t.vessel.check}>
      <p class="small my-3">{t.vessel.checkHow}</p>
      <div class="measures">
        <Field label={t.vessel.fields.waterG} error={water?.errors.waterG}>
          {#snippet children(entry)}
            <input {...entry} class="input" bind:value={texts.waterG} inputmode="decimal" placeholder="g" />
          {/snippet}
        </Field>
        <Field label={t.vessel.fields.toMm} error={water?.errors.toMm}>
          {#snippet children(entry)}
            <input
              {...entry}
              class="input"
              bind:value={texts.toMm}
              placeholder={format.length(answer.vessel!.innerHeightMm)}
            />
          {/snippet}
        </Field>
        <Field label={t.set.temperature} error={water?.errors.tempC}>
          {#snippet children(entry)}
            <input {...entry} class="input" bind:value={texts.tempC} placeholder={format.temp(20)} />
          {/snippet}
        </Field>
      </div>
      {#if water?.check}
        {@const c = water.check}
        <p class="my-3" aria-live="polite">
          {t.vessel.checked(c.byMeasuresMl.toFixed(0), c.weighedMl.toFixed(0), c.differencePct.toFixed(1))}
          {c.agrees ? t.vessel.agrees(c.allowedPct.toFixed(1)) : t.vessel.disagrees(c.allowedPct.toFixed(1))}
          {#if !c.agrees}
            <button type="button" class="link" onclick={fit}>{t.vessel.fit}</button>
          {/if}
        </p>
      {/if}
    </Fold>
  {/if}
  {#if errors['']}<p class="wrong" role="alert">{errors['']}</p>{/if}
  <button class="btn btn-secondary">{t.set.vesselSave}</button>
</form>

<style>
  .own {
    display: grid;
    gap: var(--spacing-5);
    justify-items: start;
    padding: var(--spacing-5) 0 var(--spacing-5) var(--spacing-5);
    border-left: var(--line-strong) solid var(--rule);
  }
  .own > :global(.field) {
    width: 100%;
  }
  .both {
    display: flex;
    flex-wrap: wrap;
    gap: var(--spacing-5) var(--spacing-7);
    width: 100%;
  }
  .typed {
    flex: 1 1 16rem;
    display: grid;
    gap: var(--spacing-4);
    align-content: start;
  }
  .seen {
    flex: 0 1 11rem;
  }
  .measures {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
    gap: var(--spacing-4) var(--spacing-5);
    width: 100%;
    align-items: end;
  }
  .pairs {
    width: 100%;
    border-collapse: collapse;
  }
  .pairs .input {
    width: 100%;
  }
</style>
