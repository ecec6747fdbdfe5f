<!-- @component The record of a sample, field by field, with one sentence of guidance for its purpose. -->
<script lang="ts">
  import { GRAVEL_UNITS, PURPOSES } from '$lib/contract/records/sample';
  import type { SiteDetail } from '$lib/contract/records/ground';
  import Choice from '../fields/Choice.svelte';
  import DayField from '../fields/DayField.svelte';
  import Field from '../fields/Field.svelte';
  import { t } from '$lib/words';
  import type { SampleForm } from './form';

  type Props = {
    form: SampleForm;
    errors: Partial<Record<keyof SampleForm, string>>;
    /** Unit of lengths where none is typed. */
    unit: string;
    /** Latest day that can be meant, YYYY-MM-DD. */
    today: string;
    /** Every area there is, with its spots. */
    areas: (SiteDetail['areas'][number] & { siteName: string })[];
  };
  let { form = $bindable(), errors, unit, today, areas }: Props = $props();
  const spots = $derived(areas.find((a) => a.id === form.areaId)?.spots ?? []);
  function tickSpot(id: string, on: boolean) {
    form.spotIds = spots.map((s) => s.id).filter((s) => (s === id ? on : form.spotIds.includes(s)));
  }
  const w = t.sample.fields;
</script>

<div class="grid grid-cols-[repeat(2,minmax(0,1fr))] gap-y-5 gap-x-8 items-start max-sm:grid-cols-1">
  <div class="col-span-full">
    <Field label={w.name} error={errors.name}>
      {#snippet children(entry)}<input
          {...entry}
          class="input"
          bind:value={form.name}
          maxlength="80"
        />{/snippet}
    </Field>
  </div>
  <div class="col-span-full">
    <Choice
      label={t.set.samplePurpose}
      bind:value={form.purpose}
      options={PURPOSES.map((value) => ({ value, label: t.purpose[value] }))}
    />
    <p class="faded small">{t.sample.guidance[form.purpose]}</p>
  </div>
  {#if areas.length > 0}
    <Field label={w.area} error={errors.areaId}>
      {#snippet children(entry)}
        <select {...entry} class="select" bind:value={form.areaId} onchange={() => (form.spotIds = [])}>
          <option value="">{w.noArea}</option>
          {#each areas as area (area.id)}
            <option value={area.id}>{area.code} · {area.name}, {area.siteName}</option>
          {/each}
        </select>
      {/snippet}
    </Field>
    <fieldset class="spots">
      <legend class="font-semibold text-base">{w.spots}</legend>
      {#each spots as spot (spot.id)}
        <label class="flex items-center gap-2 min-h-touch">
          <input
            class="checkbox"
            type="checkbox"
            checked={form.spotIds.includes(spot.id)}
            onchange={(e) => tickSpot(spot.id, e.currentTarget.checked)}
          />
          {spot.no}
        </label>
      {:else}
        <span class="faded small">{form.areaId === '' ? w.spotsFirst : t.ground.noSpotsYet}</span>
      {/each}
      {#if errors.spotIds}<p class="wrong small" role="alert">{errors.spotIds}</p>{/if}
    </fieldset>
  {/if}
  <Field label={w.takenOn} error={errors.takenOn}>
    {#snippet children(entry)}
      <DayField {entry} max={today} bind:value={form.takenOn} />
    {/snippet}
  </Field>
  <div class="grid grid-cols-[1fr_1fr] gap-y-0 gap-x-5 items-start">
    <Field label={w.depthFrom} error={errors.depthFrom}>
      {#snippet children(entry)}<input
          {...entry}
          class="input"
          bind:value={form.depthFrom}
          placeholder={unit}
        />{/snippet}
    </Field>
    <Field label={w.depthTo} error={errors.depthTo}>
      {#snippet children(entry)}<input
          {...entry}
          class="input"
          bind:value={form.depthTo}
          placeholder={unit}
        />{/snippet}
    </Field>
  </div>
  <Field label={w.dried} hint={w.driedHint} error={errors.dried}>
    {#snippet children(entry)}<input
        {...entry}
        class="input"
        bind:value={form.dried}
        inputmode="decimal"
      />{/snippet}
  </Field>
  <Field label={w.sieve} hint={w.sieveHint} error={errors.sieve}>
    {#snippet children(entry)}<input
        {...entry}
        class="input"
        bind:value={form.sieve}
        placeholder="2 mm"
      />{/snippet}
  </Field>
  <div class="gravel grid gap-y-0 gap-x-5 items-start grid-cols-[1fr_auto]">
    <Field label={w.gravel} hint={w.gravelHint} error={errors.gravel}>
      {#snippet children(entry)}<input
          {...entry}
          class="input"
          bind:value={form.gravel}
          inputmode="decimal"
        />{/snippet}
    </Field>
    <Field label={w.gravelWhole} error={errors.gravelWhole}>
      {#snippet children(entry)}<input
          {...entry}
          class="input"
          bind:value={form.gravelWhole}
          inputmode="decimal"
        />{/snippet}
    </Field>
    <Choice
      label={w.gravelUnit}
      hideLabel
      bind:value={form.gravelUnit}
      options={GRAVEL_UNITS.map((value) => ({ value, label: value }))}
    />
  </div>
  <Field label={w.takenOut} error={errors.takenOut}>
    {#snippet children(entry)}
      <input
        {...entry}
        class="input"
        bind:value={form.takenOut}
        maxlength="300"
        placeholder={w.takenOutHint}
      />
    {/snippet}
  </Field>
  <div class="col-span-full">
    <Field label={w.look} error={errors.look}>
      {#snippet children(entry)}
        <textarea
          {...entry}
          class="textarea"
          rows="2"
          bind:value={form.look}
          maxlength="500"
          placeholder={w.lookHint}></textarea>
      {/snippet}
    </Field>
  </div>
  <div class="col-span-full">
    <Field label={w.note} error={errors.note}>
      {#snippet children(entry)}
        <textarea {...entry} class="textarea" rows="2" bind:value={form.note} maxlength="500"></textarea>
      {/snippet}
    </Field>
  </div>
</div>

<style>
  .gravel > :global(:last-child) {
    margin-top: var(--spacing-6);
  }
  .spots {
    border: 0;
    padding: 0;
    margin: 0;
    display: flex;
    flex-wrap: wrap;
    gap: 0 var(--spacing-5);
    align-items: center;
  }
  textarea {
    resize: vertical;
    padding-top: var(--spacing-3);
  }
</style>
