<!-- @component Compost for a bed: how much, drawn as the layer that it is, what it changes, and why no sand instead. -->
<script lang="ts">
  import {
    BAG_L,
    BARROW_L,
    bedChanges,
    bulkDensity,
    compostFor,
    compostProblems,
    MOST_A_YEAR_MM,
    sandToMove,
    soilWater,
    type Fractions
  } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import Fold from '../kit/Fold.svelte';
  import { readLength } from '../fields/read';
  import { numberOr, type ActEntry } from './acting.svelte';

  type Props = { entry: ActEntry; soil: Fractions; organicPct: number; byHoles: boolean; format: Format };
  let { entry = $bindable(), soil, organicPct, byHoles, format }: Props = $props();

  const USUAL = { areaM2: 10, depthMm: 200, wanted: 4 };
  const MOST_BARROWS = 24;
  const unit = $derived(format.profile.length);
  const wanted = $derived(numberOr(entry.wanted, USUAL.wanted));
  const area = $derived(numberOr(entry.area, USUAL.areaM2));
  const depth = $derived(
    entry.depth.trim() === '' ? { value: USUAL.depthMm } : readLength(entry.depth, unit)
  );
  const bed = $derived({
    areaM2: area.value,
    depthMm: depth.value ?? USUAL.depthMm,
    bulkGCm3: bulkDensity(soilWater({ sand: soil.sand, clay: soil.clay, organicPct }))
  });
  const input = $derived({ ...bed, fromPct: organicPct, toPct: wanted.value });
  const problems = $derived(compostProblems(input));
  const need = $derived(problems.length > 0 ? undefined : compostFor(input));
  const said = (field: string) => problems.find((p) => p.field === field)?.message;
  const changes = $derived(need && need.dryKg > 0 ? bedChanges(soil, organicPct, wanted.value) : []);
  const sand = $derived(need && sandToMove(soil, bed));
  /** The layer over the bed, both to one scale. */
  const SCALE = 0.34;
</script>

<section
  aria-label={t.act.compost.title}
  class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)] gap-x-9 gap-y-4 max-md:grid-cols-1 print:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] print:text-sm print:leading-tight print:break-inside-avoid"
>
  <div>
    <h2>{t.act.compost.title}</h2>
    {#if need && need.dryKg === 0}
      <p class="font-head text-xl font-bold leading-[1.2] mt-2" data-testid="act-compost">
        {t.act.compost.none}
      </p>
    {:else if need}
      <p class="font-head text-xl font-bold leading-[1.2] mt-2" data-testid="act-compost">
        {t.act.compost.need((1000 * need.m3).toFixed(0), format.length(need.spreadMm))}
      </p>
      <p>
        {t.act.compost.carry(
          String(need.barrows),
          BARROW_L,
          String(need.bags),
          BAG_L,
          need.moistKg.toFixed(0)
        )}
      </p>
      {#if need.years > 1}<p>{t.act.compost.years(need.years, format.length(MOST_A_YEAR_MM))}</p>{/if}
      {#if changes.length > 0}
        <h3 class="mt-3 font-semibold">{t.act.compost.changes}</h3>
        <ul class="plain-list">
          {#each changes as { line, before, after, band } (line)}
            <li>
              {t.act.window[line]}: {before.toFixed(1)} → {`${after.toFixed(1)} ${t.act.units[line]}`.trim()},
              {t.act.lines[line][band]}
            </li>
          {/each}
        </ul>
      {/if}
      <p class="faded small">{t.act.compost.same}</p>
    {/if}
    {#if need}
      <Fold label={t.act.compost.deterrentTitle}>
        <p>
          {#if sand}
            {t.act.compost.deterrent(sand.tonnes.toFixed(1), sand.m3.toFixed(1), sand.lorries, sand.to.name)}
          {:else}{t.act.compost.sandEnough}{/if}
        </p>
      </Fold>
    {/if}
  </div>
  <div>
    {#if need}
      {@const layer = need.spreadMm * SCALE}
      {@const ground = bed.depthMm * SCALE}
      <svg
        viewBox="0 0 560 {60 + layer + ground}"
        class="block w-full max-w-[640px]"
        role="img"
        aria-label={t.act.compost.drawing(format.length(need.spreadMm), format.length(bed.depthMm))}
      >
        {#each Array.from({ length: Math.min(need.barrows, MOST_BARROWS) }, (_, i) => i) as i (i)}
          <g transform="translate({64 + i * 17} 26)">
            <path d="M0 0h12l-3 8h-6z" class="barrow" />
            <circle cx="5" cy="11" r="2.6" class="wheel" />
          </g>
        {/each}
        {#if need.barrows > MOST_BARROWS}<text x={70 + MOST_BARROWS * 17} y="37" class="small"
            >… {need.barrows}</text
          >{/if}
        <rect x="64" y="44" width="406" height={layer} fill="url(#grain-skin)" />
        <rect x="64" y={44 + layer} width="406" height={ground} fill="url(#grain-dry)" />
        <path d="M54 {44 + layer}H480" class="ground" />
        <text x="484" y={44 + layer / 2 + 5} class="small">{format.length(need.spreadMm)}</text>
        <text x="484" y={44 + layer + ground / 2 + 5} class="small">{format.length(bed.depthMm)}</text>
      </svg>
    {/if}
    <div class="no-print grid grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))] gap-x-5 gap-y-3 mt-4">
      <Field label={t.act.compost.wanted} error={wanted.error ?? said('toPct')}>
        {#snippet children(at)}<input
            {...at}
            class="input"
            inputmode="decimal"
            bind:value={entry.wanted}
            placeholder="4"
          />{/snippet}
      </Field>
      <Field label={t.act.compost.depth} error={depth.error ?? said('depthMm')}>
        {#snippet children(at)}<input
            {...at}
            class="input"
            bind:value={entry.depth}
            placeholder={format.length(USUAL.depthMm)}
          />{/snippet}
      </Field>
    </div>
  </div>
</section>

<style>
  .small {
    fill: var(--ink);
    font: 500 var(--text-xs) var(--face-text);
  }
  @media (max-width: 640px) {
    .small {
      font-size: var(--text-xl);
    }
  }
  .ground {
    stroke: var(--ink);
    stroke-width: 2;
  }
  .barrow {
    fill: var(--organics);
  }
  .wheel {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.4;
  }
</style>
