<!--
  @component How to water a bed: the dose and how often, drawn in the ground with what it stores, and as dates for a calendar.
-->
<script lang="ts">
  import {
    formatDuration,
    outcomeOf,
    wateringPlan,
    wateringProblems,
    type Figures,
    type Fractions
  } from '$lib/core';
  import { ulid } from 'ulid';
  import { record } from '$lib/browser/actions';
  import { monthNeeds } from '$lib/contract/act';
  import { firstWatering, needAt } from '$lib/workbench/act';
  import { everyDays } from '$lib/workbench/reminders';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import { readLength } from '$lib/workbench/entry/figure';
  import { numberOr, type ActEntry } from './acting.svelte';
  import BesideSoil from './BesideSoil.svelte';
  import GroundDrawing from './GroundDrawing.svelte';
  import MonthNeeds from './MonthNeeds.svelte';

  type Props = {
    entry: ActEntry;
    soil: Fractions;
    organicPct: number;
    figures: Figures;
    /** How fast its ground lets water through by its holes, mm/h. */
    groundMmH?: number;
    /** The test that the soil is of, and its area. */
    code?: string;
    areaId?: string | null;
    /** Another soil that stands beside it, and those that could. */
    beside: { id: string; code: string; fractions: Fractions } | null;
    tests: readonly { id: string; code: string; name: string }[];
    onbeside: (id: string) => void;
    format: Format;
    now: number;
  };
  let {
    entry = $bindable(),
    soil,
    organicPct,
    figures,
    groundMmH,
    code,
    areaId = null,
    beside,
    tests,
    onbeside,
    format,
    now
  }: Props = $props();

  const unit = $derived(format.profile.length);
  const roots = $derived(
    entry.roots.trim() === '' ? { value: figures.rootDepthMm } : readLength(entry.roots, unit)
  );
  const read = $derived({
    stonesPct: numberOr(entry.stones, 0),
    needMmWeek: numberOr(entry.need, figures.needMmWeek),
    byMonth: entry.months === '' ? undefined : monthNeeds(entry.months),
    rateMmH: entry.rate.trim() === '' ? undefined : numberOr(entry.rate, 0),
    areaM2: entry.area.trim() === '' ? undefined : numberOr(entry.area, 0)
  });
  const bed = $derived({
    sand: soil.sand,
    clay: soil.clay,
    organicPct,
    rootDepthMm: roots.value ?? figures.rootDepthMm,
    stonesPct: read.stonesPct.value,
    needMmWeek: needAt(now, read.needMmWeek.value, read.byMonth),
    cover: entry.cover,
    depletion: figures.depletionPct / 100,
    areaM2: read.areaM2?.value
  });
  const input = $derived({ ...bed, rateMmH: read.rateMmH?.value, groundMmH });
  const problems = $derived(wateringProblems(input));
  const plan = $derived(problems.length > 0 ? undefined : outcomeOf(() => wateringPlan(input, figures)).done);
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
  /** The same bed of another soil. */
  const other = $derived(
    beside && problems.length === 0
      ? outcomeOf(() =>
          wateringPlan(
            { ...input, groundMmH: undefined, sand: beside.fractions.sand, clay: beside.fractions.clay },
            figures
          )
        ).done
      : undefined
  );
  const first = $derived(firstWatering(now, format.minuteOfDay(now)));
  const ontoBench = (interval: number, litres: number) => {
    const name = t.act.water.benchName(code ?? t.act.asks.bed);
    return record(
      'reminder.add',
      {
        reminderId: ulid(),
        kind: 'water',
        name,
        areaId,
        litres: bed.areaM2 ? Math.round(litres) : null,
        dueAt: first,
        everyMs: everyDays(interval)
      },
      t.act.water.benchDone(name)
    );
  };
  const calendar = $derived(
    `/api/v1/watering.ics?${new URLSearchParams({
      ...Object.fromEntries(
        Object.entries(bed).flatMap(([key, value]) => (value === undefined ? [] : [[key, String(value)]]))
      ),
      needMmWeek: String(read.needMmWeek.value),
      ...(read.byMonth ? { byMonth: entry.months } : {}),
      from: String(first)
    })}`
  );
  const hours = (h: number) => formatDuration(60 * Math.round(60 * h));
</script>

<section
  aria-label={t.act.water.title}
  class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)] gap-x-9 gap-y-4 max-md:grid-cols-1 print:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] print:text-xs print:leading-tight print:gap-y-1 print:break-inside-avoid"
>
  <div>
    <h2>{t.act.water.title}</h2>
    {#if plan}
      <p
        class="font-head text-xl print:text-base font-bold leading-[1.2] mt-2 print:mt-1"
        data-testid="act-dose"
      >
        {t.act.water.dose(plan.doseMm.toFixed(0), plan.intervalDays.toFixed(1))}
      </p>
      <p>
        {bed.areaM2
          ? t.act.water.litres(plan.litres.toFixed(0), String(plan.cans), figures.canL)
          : t.act.water.perMetre(plan.litres.toFixed(0))}
      </p>
      <p>{t.act.water.stores(plan.storeMm.toFixed(0), figures.depletionPct)}</p>
      <p>{t.act.water.fast(plan.maxRateMmH.toFixed(plan.maxRateMmH < 10 ? 1 : 0))}</p>
      {#if plan.spell}
        <p>
          {t.act.water.spell(
            hours(plan.spell.runH),
            hours(plan.spell.restH),
            String(plan.spell.times),
            figures.standsMm
          )}
        </p>
      {/if}
      <p>{t.act.water.drip[plan.drip.how](plan.drip.litresH, plan.drip.everyM)}</p>
      <p class="faded small no-print">
        {t.act.water.thumb(
          plan.thumb.of,
          plan.thumb.mmIn100,
          plan.thumb.mm.toFixed(0),
          plan.storeMm.toFixed(0)
        )}
      </p>
      {#if plan.atEdge}<p class="faded small">{t.act.water.edge}</p>{/if}
      <p class="no-print mt-2">
        <a class="btn btn-secondary" href={calendar} download>{t.act.water.calendar}</a>
        <button
          type="button"
          class="btn btn-secondary ml-3"
          onclick={() => ontoBench(plan.intervalDays, plan.litres)}>{t.act.water.bench}</button
        >
      </p>
    {/if}
    <BesideSoil {beside} plan={other} {tests} onchoose={onbeside} />
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
      {#if beside && other}
        <p class="small font-bold mt-4">{beside.code}</p>
        <GroundDrawing
          rootsMm={bed.rootDepthMm}
          storeMm={other.storeMm}
          doseMm={other.doseMm}
          intervalDays={other.intervalDays}
          {format}
        />
      {/if}
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
            placeholder={format.length(figures.rootDepthMm)}
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
            placeholder={String(figures.needMmWeek)}
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
    <MonthNeeds
      bind:months={entry.months}
      usual={read.needMmWeek.value}
      now={read.byMonth && bed.needMmWeek}
    />
  </div>
</section>
