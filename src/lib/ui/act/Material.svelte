<!-- @component Any material worked into a bed: what it becomes by mass balance, and what it takes to move its class. -->
<script lang="ts">
  import {
    amendWith,
    classifyTexture,
    isSandIntoFines,
    materialToMove,
    outcomeOf,
    type Figures,
    type Fractions
  } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import { sharesText } from '$lib/words/headline';
  import Field from '../fields/Field.svelte';
  import PickOptions from '../fields/PickOptions.svelte';
  import { readNumber } from '$lib/workbench/entry/figure';
  import Fold from '../kit/Fold.svelte';
  import SedimentColumn from '../know/SedimentColumn.svelte';
  import { readTyped } from '../know/typed';
  import { bedOf, type ActEntry } from './acting.svelte';

  type Props = {
    entry: ActEntry;
    soil: Fractions;
    organicPct: number;
    figures: Figures;
    /** Finished tests, any of which may be the material. */
    tests: readonly { id: string; code: string; name: string; fractions: Fractions }[];
    format: Format;
  };
  let { entry = $bindable(), soil, organicPct, figures, tests, format }: Props = $props();

  const chosen = $derived(tests.find((test) => test.id === entry.material));
  const typed = $derived(readTyped({ sand: entry.msand, silt: '', clay: entry.mclay }));
  const material = $derived(chosen?.fractions ?? typed.point);
  const { bed } = $derived(bedOf(entry, soil, organicPct, format.profile.length));
  const litres = $derived(entry.litres.trim() === '' ? undefined : readNumber(entry.litres));
  const work = $derived(
    material && litres !== undefined
      ? outcomeOf(() => amendWith({ soil, bed, material, litres }, figures))
      : undefined
  );
  /** Worked out, it may come to nothing. */
  const move = $derived(
    material && outcomeOf(() => ({ least: materialToMove(soil, bed, material, figures) })).done
  );
  const own = $derived(classifyTexture('usda', soil));
  const deter = $derived(material !== undefined && isSandIntoFines(soil, material));
</script>

<div class:no-print={!work?.done}>
  <Fold label={t.act.material.title} heading open={entry.material !== '' || entry.msand !== ''}>
    <p class="faded small">{t.act.material.lead}</p>
    <div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)] gap-x-9 gap-y-4 mt-3 max-md:grid-cols-1">
      <div class="grid grid-cols-2 content-start gap-x-5 gap-y-3 no-print">
        <div class="col-span-full">
          <Field label={t.act.material.which}>
            {#snippet children(at)}
              <select {...at} class="select" bind:value={entry.material}>
                <option value="">{t.act.material.typed}</option>
                <PickOptions of={tests} />
              </select>
            {/snippet}
          </Field>
        </div>
        {#if !chosen}
          <Field label={`${t.Layer.sand}, %`} error={entry.msand && typed.errors.sand}>
            {#snippet children(at)}<input
                {...at}
                class="input"
                inputmode="decimal"
                bind:value={entry.msand}
              />{/snippet}
          </Field>
          <Field label={`${t.Layer.clay}, %`} error={entry.mclay && (typed.errors.clay ?? typed.errors.silt)}>
            {#snippet children(at)}<input
                {...at}
                class="input"
                inputmode="decimal"
                bind:value={entry.mclay}
              />{/snippet}
          </Field>
        {/if}
        <Field
          label={t.act.material.litres}
          error={litres !== undefined && Number.isNaN(litres) ? t.act.number : work?.problem?.message}
        >
          {#snippet children(at)}<input
              {...at}
              class="input"
              inputmode="decimal"
              bind:value={entry.litres}
            />{/snippet}
        </Field>
      </div>
      <div>
        {#if material && work?.done}
          {@const { mix, to, kg, risesMm } = work.done}
          <div class="flex gap-6 items-center">
            <SedimentColumn fractions={soil} width={76} height={150} label={t.act.material.column.before} />
            <span aria-hidden="true" class="text-2xl">→</span>
            <SedimentColumn fractions={mix} width={76} height={150} label={t.act.material.column.after} />
            <div>
              <p class="font-bold" data-testid="act-material">
                {t.act.material.becomes(sharesText(mix), to.name)}
              </p>
              {#if to.id === own.id}<p>{t.act.material.same}</p>{/if}
              <p>
                {t.act.material.rises(format.length(risesMm), Math.round(kg).toLocaleString('en-GB'))}
              </p>
            </div>
          </div>
        {/if}
        {#if material && move}
          <p class="mt-3">
            {#if move.least}
              {@const { kg, m3, barrows, lorries, to } = move.least}
              {t.act.material.move(
                Math.round(kg).toLocaleString('en-GB'),
                m3.toFixed(1),
                barrows.toLocaleString('en-GB'),
                to.name
              )}
              {#if lorries > 1}{t.act.material.moveLorries(lorries, figures.lorryM3)}{/if}
            {:else}{t.act.material.never}{/if}
          </p>
        {/if}
        {#if deter}<p class="caution mt-2">{t.act.material.deter}</p>{/if}
      </div>
    </div>
  </Fold>
</div>
