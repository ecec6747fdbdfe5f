<!-- @component Compost for a bed: how much, drawn as the layer that it is, what it changes, and why no sand instead. -->
<script lang="ts">
  import {
    barrowsAYear,
    bedChanges,
    compostFor,
    compostProblems,
    costByBag,
    outcomeOf,
    sandToMove,
    USUAL_BED,
    type Figures,
    type Fractions
  } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import Fold from '../kit/Fold.svelte';
  import { readNumber } from '$lib/workbench/entry/figure';
  import NoteAmendment from '../ground/NoteAmendment.svelte';
  import { bedOf, numberOr, type ActEntry } from './acting.svelte';

  type Props = {
    entry: ActEntry;
    soil: Fractions;
    organicPct: number;
    figures: Figures;
    /** Its drainage is known by holes: what texture says of it is not shown. */
    byHoles: boolean;
    /** The area that the soil is of: what was done is noted there. */
    area?: { id: string; name: string };
    format: Format;
    now: number;
  };
  let {
    entry = $bindable(),
    soil,
    organicPct,
    figures,
    byHoles,
    area: ground,
    format,
    now
  }: Props = $props();

  const MOST_BARROWS = 24;
  const wanted = $derived(numberOr(entry.wanted, figures.organicWantedPct));
  const worked = $derived(bedOf(entry, soil, organicPct, format.profile.length));
  const { bed } = $derived(worked);
  const input = $derived({ ...bed, fromPct: organicPct, toPct: wanted.value });
  const problems = $derived(compostProblems(input, figures));
  const need = $derived(problems.length > 0 ? undefined : compostFor(input, figures));
  const said = (field: string) => problems.find((p) => p.field === field)?.message;
  const changes = $derived(
    need && need.dryKg > 0
      ? bedChanges(soil, organicPct, wanted.value).filter((c) => !(byHoles && c.line === 'drains'))
      : []
  );
  const price = $derived(entry.price.trim() === '' ? figures.bagPrice : readNumber(entry.price));
  const barrows = $derived(entry.barrows.trim() === '' ? undefined : readNumber(entry.barrows));
  /** What so many barrows a year bring. */
  const yearly = $derived(
    need && barrows !== undefined && barrows >= 0
      ? outcomeOf(() => barrowsAYear({ ...bed, fromPct: organicPct, barrows }, figures)).done
      : undefined
  );
  const cost = $derived(need && price !== undefined ? costByBag(need, price) : undefined);
  let noting = $state(false);
  const sand = $derived(need && sandToMove(soil, bed, figures));
  /** The layer over the bed, both to one scale. */
  const SCALE = 0.34;
</script>

<section
  aria-label={t.act.compost.title}
  class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)] gap-x-9 gap-y-4 max-md:grid-cols-1 print:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] print:text-xs print:leading-tight print:gap-y-1 print:break-inside-avoid"
>
  <div>
    <h2>{t.act.compost.title}</h2>
    {#if need && need.dryKg === 0}
      <p
        class="font-head text-xl print:text-base font-bold leading-[1.2] mt-2 print:mt-1"
        data-testid="act-compost"
      >
        {t.act.compost.none}
      </p>
    {:else if need}
      <p
        class="font-head text-xl print:text-base font-bold leading-[1.2] mt-2 print:mt-1"
        data-testid="act-compost"
      >
        {t.act.compost.need((1000 * need.m3).toFixed(0), format.length(need.spreadMm))}
      </p>
      <p>
        {t.act.compost.carry(
          String(need.barrows),
          figures.barrowL,
          String(need.bags),
          figures.bagL,
          need.moistKg.toFixed(0)
        )}
      </p>
      {#if cost !== undefined}<p>{t.act.compost.cost(cost.toFixed(2))}</p>{/if}
      {#if need.years > 1}<p>{t.act.compost.years(need.years, format.length(figures.mostAYearMm))}</p>{/if}
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
    {#if yearly && barrows !== undefined}
      <p class="mt-2" data-testid="act-barrows">
        {t.act.compost.barrowsTo(String(barrows), organicPct.toFixed(1), yearly.toPct.toFixed(1))}
        {#if yearly.tooMuch}{t.act.compost.barrowsMuch(format.length(yearly.spreadMm))}{/if}
      </p>
    {/if}
    {#if ground && noting}
      <NoteAmendment
        area={ground}
        today={format.isoDay(now)}
        start={{ kind: 'compost', litres: need && need.dryKg > 0 ? (1000 * need.m3).toFixed(0) : '' }}
        onleave={() => (noting = false)}
      />
    {:else if ground}
      <p class="no-print mt-2">
        <button type="button" class="btn btn-secondary" onclick={() => (noting = true)}
          >{t.act.compost.note}</button
        >
        <a class="btn btn-secondary ml-3" href="/act/seasons/{ground.id}">{t.seasons.title}</a>
      </p>
    {/if}
    {#if need}
      <Fold label={t.act.compost.deterrentTitle}>
        <p>
          {#if sand}
            {t.act.compost.deterrent(
              (sand.kg / 1000).toFixed(1),
              sand.m3.toFixed(1),
              sand.lorries,
              figures.lorryM3,
              sand.to.name
            )}
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
            placeholder={String(figures.organicWantedPct)}
          />{/snippet}
      </Field>
      <Field label={t.act.compost.depth} error={worked.depthError ?? said('depthMm')}>
        {#snippet children(at)}<input
            {...at}
            class="input"
            bind:value={entry.depth}
            placeholder={format.length(USUAL_BED.depthMm)}
          />{/snippet}
      </Field>
      <Field
        label={t.act.compost.barrows}
        error={barrows === undefined || barrows >= 0 ? undefined : t.act.compost.barrowsWrong}
      >
        {#snippet children(at)}<input
            {...at}
            class="input"
            inputmode="decimal"
            bind:value={entry.barrows}
          />{/snippet}
      </Field>
      <Field
        label={t.act.compost.price}
        error={price === undefined || price >= 0 ? undefined : t.act.compost.priceWrong}
      >
        {#snippet children(at)}<input
            {...at}
            class="input"
            inputmode="decimal"
            bind:value={entry.price}
            placeholder={figures.bagPrice === undefined ? '' : String(figures.bagPrice)}
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
