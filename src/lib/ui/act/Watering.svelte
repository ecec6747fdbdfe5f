<!--
  @component How to water a bed: the dose and how often, drawn in the ground with what it stores, and as dates for a calendar.
-->
<script lang="ts">
  import {
    CAN_L,
    formatDuration,
    outcomeOf,
    wateringPlan,
    wateringProblems,
    type Fractions
  } from '$lib/core';
  import { firstWatering } from '$lib/workbench/act';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import { readLength } from '../fields/read';
  import { numberOr, type ActEntry } from './acting.svelte';
  import GroundDrawing from './GroundDrawing.svelte';

  type Props = { entry: ActEntry; soil: Fractions; organicPct: number; format: Format; now: number };
  let { entry = $bindable(), soil, organicPct, format, now }: Props = $props();

  const USUAL = { rootsMm: 300, stones: 0, need: 25 };
  const unit = $derived(format.profile.length);
  const roots = $derived(
    entry.roots.trim() === '' ? { value: USUAL.rootsMm } : readLength(entry.roots, unit)
  );
  const read = $derived({
    stonesPct: numberOr(entry.stones, USUAL.stones),
    needMmWeek: numberOr(entry.need, USUAL.need),
    rateMmH: entry.rate.trim() === '' ? undefined : numberOr(entry.rate, 0),
    areaM2: entry.area.trim() === '' ? undefined : numberOr(entry.area, 0)
  });
  const bed = $derived({
    sand: soil.sand,
    clay: soil.clay,
    organicPct,
    rootDepthMm: roots.value ?? USUAL.rootsMm,
    stonesPct: read.stonesPct.value,
    needMmWeek: read.needMmWeek.value,
    cover: entry.cover,
    areaM2: read.areaM2?.value
  });
  const input = $derived({ ...bed, rateMmH: read.rateMmH?.value });
  const problems = $derived(wateringProblems(input));
  const plan = $derived(problems.length > 0 ? undefined : outcomeOf(() => wateringPlan(input)).done);
  const wrong = $derived({
    roots: roots.error ?? said('rootDepthMm'),
    stones: read.stonesPct.error ?? said('stonesPct'),
    need: read.needMmWeek.error ?? said('needMmWeek'),
    rate: read.rateMmH?.error ?? said('rateMmH'),
    area: read.areaM2?.error ?? said('areaM2')
  });

  function said(field: string): string | undefined {
    return problems.find((p) => p.field === field)?.message;
  }
  const calendar = $derived(
    `/api/v1/watering.ics?${new URLSearchParams({
      ...Object.fromEntries(
        Object.entries(bed).flatMap(([key, value]) => (value === undefined ? [] : [[key, String(value)]]))
      ),
      from: String(firstWatering(now, format.minuteOfDay(now)))
    })}`
  );
  const hours = (h: number) => formatDuration(60 * Math.round(60 * h));
</script>

<section
  aria-label={t.act.water.title}
  class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)] gap-x-9 gap-y-4 max-md:grid-cols-1 print:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] print:text-sm print:leading-tight print:break-inside-avoid"
>
  <div>
    <h2>{t.act.water.title}</h2>
    {#if plan}
      <p class="font-head text-xl font-bold leading-[1.2] mt-2" data-testid="act-dose">
        {t.act.water.dose(plan.doseMm.toFixed(0), plan.intervalDays.toFixed(1))}
      </p>
      <p>
        {bed.areaM2
          ? t.act.water.litres(plan.litres.toFixed(0), String(plan.cans), CAN_L)
          : t.act.water.perMetre(plan.litres.toFixed(0))}
      </p>
      <p>{t.act.water.stores(plan.storeMm.toFixed(0))}</p>
      <p>{t.act.water.fast(plan.maxRateMmH.toFixed(plan.maxRateMmH < 10 ? 1 : 0))}</p>
      {#if plan.spell}
        <p>{t.act.water.spell(hours(plan.spell.runH), hours(plan.spell.restH), String(plan.spell.times))}</p>
      {/if}
      <p>{t.act.water.drip[plan.drip.how](plan.drip.litresH, plan.drip.everyM)}</p>
      <p class="faded small">
        {t.act.water.thumb(plan.thumbMm.toFixed(0))}
        {#if plan.atEdge}{t.act.water.edge}{/if}
      </p>
      <p class="no-print mt-2">
        <a class="btn btn-secondary" href={calendar} download>{t.act.water.calendar}</a>
      </p>
    {/if}
  </div>
  <div>
    {#if plan}
      <GroundDrawing
        rootsMm={bed.rootDepthMm}
        storeMm={plan.storeMm}
        doseMm={plan.doseMm}
        intervalDays={plan.intervalDays}
        {format}
      />
    {/if}
    <div class="no-print grid grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))] gap-x-5 gap-y-3 mt-4">
      <Field label={t.act.water.area} error={wrong.area}>
        {#snippet children(at)}<input
            {...at}
            class="input"
            inputmode="decimal"
            bind:value={entry.area}
          />{/snippet}
      </Field>
      <Field label={t.act.water.roots} error={wrong.roots}>
        {#snippet children(at)}<input
            {...at}
            class="input"
            bind:value={entry.roots}
            placeholder={format.length(USUAL.rootsMm)}
          />{/snippet}
      </Field>
      <Field label={t.act.water.stones} error={wrong.stones}>
        {#snippet children(at)}<input
            {...at}
            class="input"
            inputmode="decimal"
            bind:value={entry.stones}
            placeholder="0"
          />{/snippet}
      </Field>
      <Field label={t.act.water.need} error={wrong.need}>
        {#snippet children(at)}<input
            {...at}
            class="input"
            inputmode="decimal"
            bind:value={entry.need}
            placeholder="25"
          />{/snippet}
      </Field>
      <Field label={t.act.water.rate} error={wrong.rate}>
        {#snippet children(at)}<input
            {...at}
            class="input"
            inputmode="decimal"
            bind:value={entry.rate}
          />{/snippet}
      </Field>
      <Choice
        label={t.act.water.cover}
        bind:value={entry.cover}
        options={(['bare', 'mulched'] as const).map((value) => ({ value, label: t.act.water.covers[value] }))}
      />
    </div>
  </div>
</section>
