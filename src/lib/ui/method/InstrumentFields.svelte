<!-- @component How an instrument is read, in a method of one's own: mass and dispersant, and the times or sizes of its readings. -->
<script lang="ts">
  import { formatDuration } from '$lib/core';
  import Field from '../fields/Field.svelte';
  import { t } from '$lib/words';
  import { durationText, type InstrumentForm, type MethodErrors } from './form';

  type Props = {
    form: InstrumentForm;
    /** Dispersant solution, mL a litre, as typed. */
    dose: string;
    errors: MethodErrors;
    /** When each reading falls and the size it cuts, s and um; empty while something is wrong. */
    cuts: { atS: number; text: string }[];
  };
  let { form = $bindable(), dose = $bindable(), errors, cuts }: Props = $props();
  const w = t.methods;
  const pipette = $derived(form.kind === 'pipette');
  const count = $derived(pipette ? form.limits.length : form.readings.length);
  const error = (i: number) => errors[`reading.${i}`];

  function add() {
    if (pipette) form.limits = [...form.limits, ''];
    else form.readings = [...form.readings, { at: '', lead: durationText(10) }];
  }
  function drop(i: number) {
    form.limits = form.limits.filter((_, k) => k !== i);
    form.readings = form.readings.filter((_, k) => k !== i);
  }
</script>

<fieldset
  class="group grid-cols-[repeat(4,minmax(0,1fr))] gap-y-4 gap-x-7 items-start justify-items-stretch max-md:grid-cols-1"
>
  <legend>{t.plan.amounts}</legend>
  <Field label={w.grams} error={errors.soilG}>
    {#snippet children(entry)}
      <input {...entry} class="input" bind:value={form.soil} inputmode="decimal" placeholder="g" />
    {/snippet}
  </Field>
  <Field label={w.solution} hint={w.doseHint} error={errors.dispersantMlPerL}>
    {#snippet children(entry)}
      <input {...entry} class="input" bind:value={dose} inputmode="decimal" placeholder="mL" />
    {/snippet}
  </Field>
  {#if pipette}
    <Field label={w.tipDepth} error={errors.depthMm}>
      {#snippet children(entry)}
        <input {...entry} class="input" bind:value={form.depth} inputmode="decimal" placeholder="mm" />
      {/snippet}
    </Field>
    <Field label={w.drawLead} error={errors.leadS}>
      {#snippet children(entry)}
        <input {...entry} class="input" bind:value={form.lead} />
      {/snippet}
    </Field>
  {/if}
</fieldset>

<fieldset class="group">
  <legend>{w.readingsTitle[form.kind]}</legend>
  <p class="faded small">{w.readingsHint[form.kind]}</p>
  <ol class="readings list-none p-0 grid gap-2" class:pipette>
    <li
      class="head faded small grid grid-cols-[1.6rem_8rem_8rem_6rem_auto] gap-y-2 gap-x-5 items-center max-md:grid-cols-[1.2rem_1fr_1fr_4.4rem]"
      aria-hidden="true"
    >
      <span></span>
      <span>{pipette ? w.coarser : w.after}</span>
      {#if !pipette}<span>{w.lowered}</span>{/if}
      <span class="num text-right tabular-nums">{pipette ? w.after : w.cuts}</span>
    </li>
    {#each { length: count } as _, i (i)}
      <li
        class="grid grid-cols-[1.6rem_8rem_8rem_6rem_auto] gap-y-2 gap-x-5 items-center max-md:grid-cols-[1.2rem_1fr_1fr_4.4rem]"
      >
        <b>{i + 1}</b>
        {#if pipette}
          <input
            class="input"
            inputmode="decimal"
            aria-label={w.drawSize(i + 1)}
            aria-invalid={error(i) ? 'true' : undefined}
            bind:value={form.limits[i]}
            placeholder="µm"
          />
        {:else}
          <input
            class="input"
            aria-label={w.readAt(i + 1)}
            aria-invalid={error(i) ? 'true' : undefined}
            bind:value={form.readings[i].at}
            placeholder="2 h"
          />
          <input
            class="input"
            aria-label={w.readLead(i + 1)}
            aria-invalid={error(i) ? 'true' : undefined}
            bind:value={form.readings[i].lead}
            placeholder={w.staysIn}
          />
        {/if}
        <span class="num text-right tabular-nums"
          >{#if cuts[i]}{pipette ? formatDuration(cuts[i].atS) : cuts[i].text}{/if}</span
        >
        <button type="button" class="link" aria-label={w.dropReading(i + 1)} onclick={() => drop(i)}
          >{t.ground.takeOff}</button
        >
        {#if error(i)}<p class="wrong small" role="alert">{error(i)}</p>{/if}
      </li>
    {/each}
  </ol>
  {#if errors.readings}<p class="wrong small" role="alert">{errors.readings}</p>{/if}
  <button type="button" class="btn btn-secondary" onclick={add}>{pipette ? w.addDraw : w.addReading}</button>
</fieldset>

<style>
  .pipette li {
    grid-template-columns: 1.6rem 8rem 6rem auto;
  }
  .readings li.head {
    margin-bottom: calc(-1 * var(--spacing-2));
  }
  .readings p {
    grid-column: 2 / -1;
    margin: 0;
    max-width: 32rem;
  }
  @media (max-width: 900px) {
    .pipette li {
      grid-template-columns: 1.2rem 1fr 5rem;
    }
    .readings li button {
      grid-column: 2 / -1;
      justify-self: start;
      min-height: 44px;
    }
  }
</style>
