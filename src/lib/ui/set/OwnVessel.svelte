<!--
  @component A vessel of one's own: measured inside, by its outside and capacity, by diameters at heights, or traced on a
  picture. It is drawn as it is understood, and can be checked by filling it and weighing the water.
-->
<script lang="ts">
  import Fold from '../kit/Fold.svelte';
  import { untrack } from 'svelte';
  import { isStraight } from '$lib/core';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import VesselDrawing from '../vessel/VesselDrawing.svelte';
  import { ownVessel } from './own-vessel.svelte';
  import TraceOutline from './TraceOutline.svelte';
  import { VESSEL_WAYS } from './vessel';
  import WidthPairs from './WidthPairs.svelte';

  type Props = {
    format: Format;
    /** Told the id of the vessel once it is kept. */
    onadded: (id: string) => void;
    onleave: () => void;
    /** Whether it is on its way to be kept. */
    sending: boolean;
  };
  let { format, onadded, onleave, sending = $bindable() }: Props = $props();

  const unit = untrack(() => format.profile.length);
  const own = untrack(() =>
    ownVessel(
      () => format,
      (id) => onadded(id)
    )
  );
  const { texts } = $derived(own);
  const { errors, vessel, fields, water, holds } = $derived(own.view);
  let tracing = $state(false);
  $effect(() => {
    sending = own.form.sending;
    return () => (sending = false);
  });
</script>

<form class="own" use:own.form.enhance method="POST" novalidate>
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
        <WidthPairs pairs={texts.pairs} {errors} {unit} />
        <p class="row-of-actions">
          <button type="button" class="link" onclick={() => texts.pairs.push({ height: '', diameter: '' })}
            >{t.vessel.morePairs}</button
          >
          <button type="button" class="link" onclick={() => (tracing = !tracing)}>{t.vessel.trace}</button>
        </p>
        {#if tracing}
          <TraceOutline {format} onpoints={own.usePairs} />
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
    {#if vessel && holds}
      <div class="seen">
        <VesselDrawing
          {vessel}
          scale={190 / (vessel.innerHeightMm + 12)}
          code=""
          waterMm={vessel.shoulderHeightMm}
          soilMm={0}
          layers={[]}
          lid={false}
          tapeRoom={4}
        />
        <p class="small">{t.vessel.holds(format.volume(holds.rimMl), format.volume(holds.shoulderMl))}</p>
        <p class="small faded">{isStraight(vessel) ? t.vessel.straight : t.vessel.shaped}</p>
      </div>
    {/if}
  </div>

  {#if vessel}
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
              placeholder={format.length(vessel.innerHeightMm)}
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
            <button type="button" class="link" onclick={own.fit}>{t.vessel.fit}</button>
          {/if}
        </p>
      {/if}
    </Fold>
  {/if}
  {#if errors['']}<p class="wrong" role="alert">{errors['']}</p>{/if}
  <p class="row-of-actions">
    <button class="btn btn-secondary" disabled={own.form.sending}>{t.set.vesselSave}</button>
    <button type="button" class="link" onclick={onleave}>{t.set.vesselLeave}</button>
  </p>
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
</style>
