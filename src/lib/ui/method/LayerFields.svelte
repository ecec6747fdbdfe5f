<!-- @component Amounts and times of a method that is read by its layers. -->
<script lang="ts">
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import { t } from '$lib/words';
  import type { MethodErrors, MethodForm } from './form';

  let { form = $bindable(), errors }: { form: MethodForm; errors: MethodErrors } = $props();
  const w = t.methods;
</script>

<fieldset
  class="group grid-cols-[auto_1fr_1fr_1fr] gap-y-4 gap-x-7 items-start justify-items-stretch max-md:grid-cols-1"
>
  <legend>{t.plan.amounts}</legend>
  <Choice
    label={w.vessel}
    bind:value={form.vesselKind}
    options={(['jar', 'cylinder'] as const).map((value) => ({ value, label: w.vessels[value] }))}
  />
  <Field label={w.soil} hint={w.soilHint} error={errors.soilShare}>
    {#snippet children(entry)}
      <input {...entry} class="input" bind:value={form.soil} inputmode="decimal" placeholder="%" />
    {/snippet}
  </Field>
  <div>
    <Field label={w.water} error={errors.water}>
      {#snippet children(entry)}
        <select {...entry} class="select" bind:value={form.waterAt}>
          {#each ['neck', 'near-top', 'share'] as const as at (at)}<option value={at}>{w.waters[at]}</option
            >{/each}
        </select>
        {#if form.waterAt === 'share'}
          <input
            class="input"
            aria-label={w.waterShare}
            bind:value={form.water}
            inputmode="decimal"
            placeholder="%"
          />
        {/if}
      {/snippet}
    </Field>
  </div>
  <Field label={w.dose} hint={w.doseHint} error={errors.dispersantMlPerL}>
    {#snippet children(entry)}
      <input {...entry} class="input" bind:value={form.dose} inputmode="decimal" placeholder="mL" />
    {/snippet}
  </Field>
</fieldset>

<fieldset class="group">
  <legend>{w.times}</legend>
  <p class="faded small">{w.timesHint}</p>
  <div
    class="times grid grid-cols-[10rem_11rem_8rem_8rem] gap-y-3 gap-x-5 items-center max-md:grid-cols-[1fr_1fr]"
  >
    <span class="head" aria-hidden="true"></span>
    <span class="head" aria-hidden="true"></span>
    <span class="head faded small" aria-hidden="true">{w.from}</span>
    <span class="head faded small" aria-hidden="true">{w.until}</span>
    <span class="what font-semibold">{t.plan.agitate}</span>
    <input class="input" aria-label={w.how} bind:value={form.how} maxlength="80" />
    <input
      class="input"
      aria-label={w.shakeFrom}
      aria-invalid={errors.agitate ? 'true' : undefined}
      bind:value={form.shakeFrom}
    />
    <input
      class="input"
      aria-label={w.shakeTo}
      aria-invalid={errors.agitate ? 'true' : undefined}
      bind:value={form.shakeTo}
    />
    {#if errors.agitate}<p class="wrong small" role="alert">{errors.agitate}</p>{/if}
    {#each ['sand', 'silt', 'clay'] as const as layer (layer)}
      <span class="what font-semibold">{t.step.mark(t.layer[layer])}</span>
      <span class="faded small">{w.after}</span>
      <input
        class="input"
        aria-label={w.markAt(t.layer[layer])}
        aria-invalid={errors[layer] ? 'true' : undefined}
        bind:value={form.marks[layer].at}
        placeholder={w.noMark}
      />
      <input
        class="input"
        aria-label={w.markUntil(t.layer[layer])}
        aria-invalid={errors[layer] ? 'true' : undefined}
        bind:value={form.marks[layer].until}
        placeholder={w.tenth}
      />
      {#if errors[layer]}<p class="wrong small" role="alert">{errors[layer]}</p>{/if}
    {/each}
    <span class="what font-semibold">{t.step.read}</span>
    <span class="faded small">{w.after}</span>
    <input
      class="input"
      aria-label={w.endFrom}
      aria-invalid={errors.end ? 'true' : undefined}
      bind:value={form.endFrom}
    />
    <input
      class="input"
      aria-label={w.endTo}
      aria-invalid={errors.end ? 'true' : undefined}
      bind:value={form.endTo}
    />
    {#if errors.end}<p class="wrong small" role="alert">{errors.end}</p>{/if}
  </div>
</fieldset>

<style>
  .times p {
    grid-column: 2 / -1;
    margin: calc(-1 * var(--spacing-1)) 0 var(--spacing-1);
  }
  .times .head {
    margin-bottom: calc(-1 * var(--spacing-2));
  }
  @media (max-width: 900px) {
    .times .what,
    .times p {
      grid-column: 1 / -1;
    }
    .times .faded,
    .times .head {
      display: none;
    }
    .times input:first-of-type {
      grid-column: 1 / -1;
    }
  }
</style>
