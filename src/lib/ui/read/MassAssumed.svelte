<!-- @component What the estimate by mass takes for granted, to be seen, changed and put back with one press. -->
<script lang="ts">
  import Fold from '../kit/Fold.svelte';
  import { CLAY_FLOOR_UM, DEFAULT_PACKING, SAND_LIMITS_UM } from '$lib/core';
  import Field from '../fields/Field.svelte';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import type { ReadingForm } from './form.svelte';

  let { form, tempC, format }: { form: ReadingForm; tempC: number; format: Format } = $props();
</script>

<div class="grid gap-3 mt-4">
  <Fold label={t.mass.assumed}>
    <div class="grid grid-cols-[repeat(3,minmax(0,1fr))] gap-4 mt-2 items-start">
      {#each ['sand', 'silt', 'clay'] as const as layer (layer)}
        <Field label={t.mass.packing(t.layer[layer])} error={form.errors[`packing-${layer}`]}>
          {#snippet children(entry)}
            <input
              {...entry}
              class="input"
              inputmode="numeric"
              bind:value={form.texts.packing[layer]}
              placeholder={`${DEFAULT_PACKING[layer]} kg/m³`}
            />
          {/snippet}
        </Field>
      {/each}
    </div>
    <div class="grid grid-cols-[repeat(3,minmax(0,1fr))] gap-4 mt-2 items-start">
      <Field
        label={format.profile.temperature === 'F' ? t.mass.warmthF : t.mass.warmth}
        error={form.errors.temp}
      >
        {#snippet children(entry)}
          <input
            {...entry}
            class="input"
            inputmode="decimal"
            bind:value={form.texts.temp}
            placeholder={format.temp(tempC)}
          />
        {/snippet}
      </Field>
      <Field label={t.mass.limit}>
        {#snippet children(entry)}
          <select {...entry} class="select" bind:value={form.texts.limit}>
            <option value="">{t.mass.limitUsual}</option>
            {#each SAND_LIMITS_UM.filter((um) => um !== 50) as um (um)}
              <option value={String(um)}>{t.mass.limitUm(um)}</option>
            {/each}
          </select>
        {/snippet}
      </Field>
      <Field label={t.mass.floor} error={form.errors.clayFloor}>
        {#snippet children(entry)}
          <input
            {...entry}
            class="input"
            inputmode="decimal"
            bind:value={form.texts.clayFloor}
            placeholder={String(CLAY_FLOOR_UM)}
          />
        {/snippet}
      </Field>
    </div>
    <label class="flex items-center gap-3 min-h-touch"
      ><input class="checkbox" type="checkbox" bind:checked={form.texts.free} /> {t.mass.free}</label
    >
    <p class="faded small">{t.mass.alsoAssumed}</p>
    {#if form.assumesOwn}
      <button type="button" class="btn btn-secondary" onclick={() => form.resetAssumed()}
        >{t.mass.reset}</button
      >
    {/if}
  </Fold>
</div>
