<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { bedFigures, BORE_LINE, ORGANIC_UNKNOWN } from '$lib/core';
  import { clock } from '$lib/browser/clock.svelte';
  import { acting } from '$lib/ui/act/acting.svelte';
  import BedLines from '$lib/ui/act/BedLines.svelte';
  import BedVerdict from '$lib/ui/act/BedVerdict.svelte';
  import BoreStrip from '$lib/ui/act/BoreStrip.svelte';
  import Compost from '$lib/ui/act/Compost.svelte';
  import Holes from '$lib/ui/act/Holes.svelte';
  import HandSaysPanel from '$lib/ui/act/HandSaysPanel.svelte';
  import KeepJudgement from '$lib/ui/act/KeepJudgement.svelte';
  import Material from '$lib/ui/act/Material.svelte';
  import Target from '$lib/ui/act/Target.svelte';
  import LabWorth from '$lib/ui/act/LabWorth.svelte';
  import Settling from '$lib/ui/act/Settling.svelte';
  import SoilColumn from '$lib/ui/act/SoilColumn.svelte';
  import Watering from '$lib/ui/act/Watering.svelte';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import { movedWords, restOf } from '$lib/ui/know/typed';
  import { groundOf } from '$lib/workbench/holes';
  import { TAKEN_FOR, whyNoSoil } from '$lib/workbench/act';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';
  import { boreVerdict } from '$lib/words/verdict';

  let { data } = $props();
  /** How an area is told from a test among the soils. */
  const AREA = 'area:';
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const ground = $derived(groundOf(data.ground, clock.now));
  const act = acting({
    url: page.url,
    chosen: () => data.chosen,
    ground: () => ground,
    beds: () => data.beds
  });
  const { entry } = act;
  const view = $derived(act.view);
  const rest = $derived(restOf(entry));
  const noSoil = $derived(data.chosen ? whyNoSoil(data.chosen.snapshot) : undefined);
  const basis = $derived.by(() => {
    if (!view.stands) return '';
    const { basis } = view.stands;
    const code = data.chosen?.code ?? '';
    if (basis === 'typed') return t.act.basis.typed(TAKEN_FOR.typed);
    return t.act.basis[basis](code, basis === 'bottle' ? TAKEN_FOR.bottle : TAKEN_FOR.read);
  });

  async function pick(id: string) {
    act.back();
    const of: Record<string, string> = id.startsWith(AREA)
      ? { test: '', ground: id.slice(AREA.length) }
      : { test: id };
    await goto(act.at(of), { noScroll: true, keepFocus: true });
  }
  /** What stands along a bore is read anew. */
  async function layAlong(along: string) {
    entry.along = along;
    await goto(act.at({ along }), { noScroll: true, keepFocus: true, replaceState: true });
  }
</script>

{#snippet strip()}
  <BoreStrip
    stations={data.stations}
    tests={[...data.tests, ...data.bottles]}
    byAxis={data.byAxis}
    line={view.line.value}
    onchange={layAlong}
  />
{/snippet}

<div class="pt-5 w-full grid gap-6 print:gap-2 print:pt-0">
  <h1 class="sr-only">{t.act.title}</h1>
  {#if data.chosen}<p class="hidden print:block">{data.chosen.code} · {data.chosen.sample.name}</p>{/if}
  <div class="no-print flex flex-wrap items-end gap-x-7 gap-y-3">
    <Field label={t.act.soil}>
      {#snippet children(at)}
        <select
          {...at}
          class="select min-w-[15rem]"
          value={data.chosen?.id ?? ''}
          onchange={(e) => pick(e.currentTarget.value)}
        >
          <option value="">{t.act.byNumbers}</option>
          {#each data.tests as test (test.id)}<option value={test.id}>{test.code} · {test.name}</option
            >{/each}
          {#if data.bottles.length > 0}
            <optgroup label={t.act.bottles}>
              {#each data.bottles as test (test.id)}<option value={test.id}>{test.code} · {test.name}</option
                >{/each}
            </optgroup>
          {/if}
          {#if data.areas.length > 0}
            <optgroup label={t.act.areas}>
              {#each data.areas as area (area.id)}<option value="{AREA}{area.id}"
                  >{t.act.newestOf(area.name)}</option
                >{/each}
            </optgroup>
          {/if}
        </select>
      {/snippet}
    </Field>
    {#if !data.chosen}
      {#each ['sand', 'silt', 'clay'] as const as part (part)}
        <Field label={`${t.Layer[part]}, %`} error={view.typedErrors[part]}>
          {#snippet children(at)}<input
              {...at}
              class="input w-[6rem]"
              inputmode="decimal"
              bind:value={entry[part]}
              placeholder={rest[part] ?? ''}
              oninput={act.back}
            />{/snippet}
        </Field>
      {/each}
    {/if}
    <Choice
      label={t.act.ask}
      bind:value={entry.ask}
      options={(['bed', 'bore'] as const).map((value) => ({ value, label: t.act.asks[value] }))}
    />
    {#if entry.ask === 'bed'}
      <Field label={t.act.bed}>
        {#snippet children(at)}
          <select {...at} class="select" bind:value={entry.bed}>
            {#each data.beds as profile (profile.id)}<option value={profile.id}>{profile.name}</option>{/each}
          </select>
        {/snippet}
      </Field>
      <a class="link min-h-touch inline-flex items-center" href="/act/beds">{t.act.beds.link}</a>
    {/if}
  </div>

  {#if view.stands && view.shown && view.draws}
    {@const soil = view.shown}
    <div>
      {#if entry.ask === 'bed' && view.bed}
        <BedVerdict judged={view.bed} />
      {:else if view.bore}
        <p
          class="font-head text-2xl font-[650] leading-[1.2] max-w-[46rem]"
          data-testid="act-verdict"
          aria-live="polite"
        >
          {boreVerdict(view.bore, view.line.value)}
        </p>
      {/if}
      <p class="faded small mt-3">{basis}</p>
    </div>
    <div
      class="grid grid-cols-[200px_minmax(0,1.3fr)_minmax(0,1fr)] gap-x-9 gap-y-4 items-start max-md:grid-cols-[150px_minmax(0,1fr)] print:grid-cols-[95px_minmax(0,2fr)_minmax(0,1fr)]"
    >
      <div>
        <SoilColumn
          {soil}
          onlySand={view.stands.onlySand}
          line={entry.ask === 'bore' ? { at: view.line.value, label: `${view.line.value} %` } : undefined}
          onmove={act.move}
        />
      </div>
      <div>
        {#if entry.ask === 'bed'}
          <BedLines {soil} organicPct={view.organic.value} draws={view.draws} {ground} />
        {:else if view.bore}
          <p class="text-lg max-w-[34rem]">{t.act.bore.fluid[view.bore.plan]}</p>
          <p class="mt-3 max-w-[34rem]">{t.act.bore.again}</p>
          <p class="faded small mt-3">{view.stands.onlySand ? t.act.bore.ofBottle : t.act.bore.of}</p>
        {/if}
      </div>
      <div class="grid gap-5 max-md:col-span-2 print:col-span-1 print:text-sm">
        {#if view.moved}
          <div>
            <p class="small mt-2">{t.act.moved(movedWords(view.stands.fractions, soil))}</p>
            <button type="button" class="btn btn-secondary" onclick={act.back}>{t.act.back}</button>
          </div>
        {/if}
        {#if entry.ask === 'bed'}
          <div class="no-print max-w-[18rem]">
            <Field
              label={t.act.organic}
              error={view.organic.error}
              hint={entry.organic.trim() === ''
                ? t.act.organicHint(ORGANIC_UNKNOWN.pct, ORGANIC_UNKNOWN.sd)
                : undefined}
            >
              {#snippet children(at)}<input
                  {...at}
                  class="input"
                  inputmode="decimal"
                  bind:value={entry.organic}
                  placeholder={String(ORGANIC_UNKNOWN.pct)}
                />{/snippet}
            </Field>
          </div>
          <div class="no-print max-w-[18rem]"><Target bind:entry={act.entry} {soil} /></div>
        {:else}
          <Field label={t.act.bore.line} error={view.line.error}>
            {#snippet children(at)}<input
                {...at}
                class="input w-[6rem]"
                inputmode="decimal"
                bind:value={entry.line}
                placeholder={String(BORE_LINE)}
              />{/snippet}
          </Field>
        {/if}
        <Settling steps={view.steps} sampleId={data.chosen?.sample.id} areaId={data.chosen?.sample.areaId} />
      </div>
    </div>
    {#if entry.ask === 'bed' && !view.organic.error}
      {@const texture = bedFigures(soil, view.organic.value)}
      {#if data.chosen}
        <div
          class="grid grid-cols-2 gap-x-9 gap-y-6 items-start max-md:grid-cols-1 print:grid-cols-2 print:gap-y-1"
        >
          {#if data.ground.length > 0}
            <Holes
              holes={data.ground}
              {ground}
              textureMmH={texture.drains}
              code={data.chosen.code}
              {format}
              now={clock.now}
            />
          {/if}
          <HandSaysPanel
            sampleId={data.chosen.sample.id}
            says={data.chosen.sample.details.hand ?? []}
            figures={{ ...texture, ...(ground ? { drains: ground.mmH } : {}) }}
            silt={soil.silt}
          />
        </div>
      {/if}
      <Watering
        bind:entry={act.entry}
        {soil}
        organicPct={view.organic.value}
        code={data.chosen?.code}
        areaId={data.chosen?.sample.areaId}
        beside={data.beside}
        tests={data.tests}
        onbeside={(id) => goto(act.at({ beside: id }), { noScroll: true, keepFocus: true })}
        {format}
        now={clock.now}
      />
      <Compost
        bind:entry={act.entry}
        {soil}
        organicPct={view.organic.value}
        byHoles={ground !== undefined}
        area={data.chosen?.area ?? undefined}
        {format}
        now={clock.now}
      />
      <Material bind:entry={act.entry} {soil} organicPct={view.organic.value} tests={data.tests} {format} />
    {/if}
    {#if entry.ask === 'bore'}{@render strip()}{/if}
    <KeepJudgement
      testId={data.chosen?.id ?? null}
      typed={view.stands.fractions}
      ask={entry.ask}
      bedKey={view.bedKey}
      organicPct={entry.organic.trim() === '' ? null : view.organic.value}
      linePct={entry.line.trim() === '' ? null : view.line.value}
      query={act.query}
      moved={view.moved}
      kept={data.kept}
      {format}
    />
    <div class="no-print">
      <LabWorth chance={(entry.ask === 'bore' ? view.bore : view.bed)?.chance ?? 0} />
    </div>
    <p class="caution small">{entry.ask === 'bore' ? t.act.bore.caution : t.act.caution}</p>
  {:else}
    <p class="text-lg">{noSoil ? t.act.none[noSoil] : t.act.empty}</p>
    {#if entry.ask === 'bore'}{@render strip()}{/if}
  {/if}
</div>
