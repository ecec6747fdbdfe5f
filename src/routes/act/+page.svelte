<script lang="ts">
  import type { WallSoil } from '$lib/core';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { clock } from '$lib/browser/clock.svelte';
  import ActFacts from '$lib/ui/act/ActFacts.svelte';
  import ActHead from '$lib/ui/act/ActHead.svelte';
  import { acting, AREA, basisOf, basisOfShare } from '$lib/ui/act/acting.svelte';
  import BedLines from '$lib/ui/act/BedLines.svelte';
  import BedWork from '$lib/ui/act/BedWork.svelte';
  import BedVerdict from '$lib/ui/act/BedVerdict.svelte';
  import BoreStrip from '$lib/ui/act/BoreStrip.svelte';
  import KeepJudgement from '$lib/ui/act/KeepJudgement.svelte';
  import LabWorth from '$lib/ui/act/LabWorth.svelte';
  import RibbonField from '$lib/ui/act/RibbonField.svelte';
  import Settling from '$lib/ui/act/Settling.svelte';
  import SoilColumn from '$lib/ui/act/SoilColumn.svelte';
  import WallWork from '$lib/ui/act/WallWork.svelte';
  import { movedWords } from '$lib/ui/know/typed';
  import { groundOf } from '$lib/workbench/holes';
  import { whyNoSoil } from '$lib/workbench/act';
  import Doubts from '$lib/ui/answer/Doubts.svelte';
  import { wallSoilTyped } from '$lib/workbench/wall';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';
  import { besideText } from '$lib/words/judged';
  import { boreVerdict } from '$lib/words/verdict';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const ground = $derived(groundOf(data.ground, clock.now));
  const act = acting({
    url: page.url,
    chosen: () => data.chosen,
    ground: () => ground,
    beds: () => data.beds,
    figures: () => data.figures
  });
  const { entry } = act;
  const view = $derived(act.view);
  const noSoil = $derived(data.chosen ? whyNoSoil(data.chosen.snapshot) : undefined);

  const wallSoil = $derived(data.chosen ? view.by?.wall : view.stands && wallSoilTyped(view.stands));
  /** What the soil is known by, and what stands beside that. */
  const basis = $derived(
    view.stands
      ? basisOf(view.stands, format, view.by?.by.name)
      : wallSoil && basisOfShare(wallSoil, view.by?.by.name ?? '')
  );
  const beside = $derived(view.by ? besideText(view.by.others) : '');

  /** What is kept with any verdict. */
  const keep = $derived({
    testId: data.chosen?.id ?? null,
    typed: data.chosen ? null : (view.stands?.fractions ?? null),
    figuresKey: view.set.id,
    query: act.query
  });

  async function pick(id: string) {
    act.back();
    const of: Record<string, string> = id.startsWith(AREA)
      ? { test: '', ground: id.slice(AREA.length) }
      : { test: id };
    await goto(act.at(of), { noScroll: true, keepFocus: true });
  }
  /** What stands along a bore, beside this soil, or is mixed into it, is read anew. */
  async function lay(what: 'along' | 'beside' | 'blend', text: string) {
    entry[what] = text;
    await goto(act.at({ [what]: text }), { noScroll: true, keepFocus: true, replaceState: true });
  }
</script>

{#snippet column()}
  {#if view.stands && view.shown}
    <SoilColumn
      soil={view.shown}
      onlySand={view.stands.onlySand}
      line={entry.ask === 'bore' ? { at: view.line.value, label: `${view.line.value} %` } : undefined}
      onmove={act.move}
    />
  {/if}
{/snippet}

{#snippet moved()}
  {#if view.moved}
    <div>
      <p class="small mt-2">{t.act.moved(movedWords(view.moved.from, view.moved.to))}</p>
      <button type="button" class="btn btn-secondary" onclick={act.back}>{t.act.back}</button>
    </div>
  {/if}
{/snippet}

{#snippet wall(soil: WallSoil)}
  <WallWork
    bind:entry={act.entry}
    {soil}
    techniques={data.techniques}
    figures={view.figures}
    name={data.chosen?.code ?? t.wall.blend.own}
    tests={data.tests}
    others={data.others}
    onlay={(text) => lay('blend', text)}
    dragged={view.moved}
    chosen={data.chosen}
    pieces={data.pieces}
    {keep}
    kept={data.kept}
    {format}
    basis={[basis, beside].filter(Boolean).join(' ')}
    lab={view.by?.by.kind === 'laboratory'}
    doubts={view.by?.doubts ?? []}
    {column}
    {moved}
  />
  <p class="caution small">{t.wall.caution}</p>
{/snippet}

{#snippet strip()}
  <BoreStrip
    stations={data.stations}
    tests={[...data.tests, ...data.alone.filter((one) => one.layer === 'sand')]}
    byAxis={data.byAxis}
    figures={view.atLine}
    onchange={(along) => lay('along', along)}
  />
{/snippet}

<div class="pt-5 w-full grid gap-6 print:gap-2 print:pt-0">
  <h1 class="sr-only">{t.act.title}</h1>
  {#if data.chosen}<p class="hidden print:block">{data.chosen.code} · {data.chosen.sample.name}</p>{/if}
  <ActHead bind:entry={act.entry} {data} errors={view.typedErrors} onpick={pick} ontyped={act.back} />

  {#if entry.ask === 'wall' && wallSoil}
    {@render wall(wallSoil)}
  {:else if view.stands && view.shown && view.draws}
    {@const soil = view.shown}
    <div>
      {#if entry.ask === 'bed' && view.bed}
        <BedVerdict judged={view.bed} />
      {:else if entry.ask === 'bore' && view.bore}
        <p
          class="font-head text-2xl font-[650] leading-[1.2] max-w-[46rem]"
          data-testid="act-verdict"
          aria-live="polite"
        >
          {boreVerdict(view.bore, view.line.value, soil)}
        </p>
      {/if}
      {#if view.by?.by.kind === 'jar'}<Doubts doubts={view.by.doubts} />{/if}
      <p class="faded small mt-3">{basis} <span class="no-print">{beside}</span></p>
    </div>
    <div
      class="grid grid-cols-[200px_minmax(0,1.3fr)_minmax(0,1fr)] gap-x-9 gap-y-4 items-start max-md:grid-cols-[150px_minmax(0,1fr)] print:grid-cols-[95px_minmax(0,1.6fr)_minmax(0,1fr)] print:gap-x-5"
    >
      <div>
        {@render column()}
      </div>
      <div>
        {#if entry.ask === 'bed'}
          <BedLines {soil} organicPct={view.organic.value} draws={view.draws} {ground} />
        {:else if entry.ask === 'bore' && view.bore}
          <p class="text-lg max-w-[34rem]">{t.act.bore.fluid[view.bore.plan]}</p>
          <p class="mt-3 max-w-[34rem]">{t.act.bore.again}</p>
          <p class="faded small mt-3">{view.stands.onlySand ? t.act.bore.ofSettled : t.act.bore.of}</p>
        {/if}
      </div>
      <div class="grid gap-5 max-md:col-span-2 print:col-span-1 print:text-xs print:leading-tight">
        {@render moved()}
        <Settling steps={view.steps} chosen={data.chosen} />
        <ActFacts
          bind:entry={act.entry}
          {soil}
          figures={view.figures}
          organicError={view.organic.error}
          lineError={view.line.error}
        />
        {#if data.chosen && !view.stands.onlySand}
          <RibbonField sampleId={data.chosen.sample.id} ribbon={data.chosen.sample.details.ribbon} {format} />
        {/if}
      </div>
    </div>
    {#if entry.ask === 'bed' && !view.organic.error}
      <BedWork
        bind:entry={act.entry}
        {data}
        {soil}
        organicPct={view.organic.value}
        figures={view.figures}
        {ground}
        onbeside={(id) => lay('beside', id)}
        {format}
        now={clock.now}
      />
    {/if}
    {#if entry.ask === 'bore'}{@render strip()}{/if}
    <KeepJudgement
      payload={{
        ...keep,
        ask: entry.ask === 'bore' ? 'bore' : 'bed',
        bedKey: view.bedKey,
        organicPct: entry.organic.trim() === '' ? null : view.organic.value,
        linePct: entry.line.trim() === '' ? null : view.line.value
      }}
      can={act.canKeep}
      kept={data.kept}
      {format}
    />
    {#if view.by?.by.kind !== 'laboratory'}
      <div class="no-print">
        <LabWorth chance={(entry.ask === 'bore' ? view.bore : view.bed)?.chance ?? 0} />
      </div>
    {/if}
    <p class="caution small">{entry.ask === 'bore' ? t.act.bore.caution : t.act.caution}</p>
  {:else}
    <p class="text-lg">{noSoil ? t.act.none[noSoil] : t.act.empty}</p>
    {#if entry.ask === 'bore'}{@render strip()}{/if}
  {/if}
</div>
