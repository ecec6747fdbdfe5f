<!-- @component Materials to hand, mixed for a technique: the answer in buckets, changed by hand, with the jar it should give. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { offerUndo, problemText } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { sayProblem } from '$lib/browser/toasts';
  import type { PayloadInput } from '$lib/contract/commands';
  import {
    blendProblems,
    judgeBuckets,
    meshOf,
    solveBlend,
    type Blend,
    type Figures,
    type Technique,
    type WallSoil
  } from '$lib/core';
  import { blendText, MOST_ROWS, type BlendRow } from '$lib/contract/act';
  import { batchOf, EMPTY_ROW, materialsOf, rowsOf } from '$lib/workbench/blend';
  import { t } from '$lib/words';
  import { chanceText } from '$lib/words/headline';
  import { mixText } from '$lib/words/wall';
  import Field from '../fields/Field.svelte';
  import TextField from '../fields/TextField.svelte';
  import SedimentColumn from '../know/SedimentColumn.svelte';
  import type { ActEntry } from './acting.svelte';
  import AddMaterial from './AddMaterial.svelte';
  import Buckets from './Buckets.svelte';
  import WallOpening from './WallOpening.svelte';

  type Props = {
    entry: ActEntry;
    soil: WallSoil;
    /** What the soil in hand is called. */
    name: string;
    techniques: readonly Technique[];
    figures: Figures;
    tests: readonly { id: string; code: string; name: string }[];
    /** Other soils that are mixed in. */
    others: readonly { id: string; code: string; soil: WallSoil }[];
    /** Told of the materials where another soil has to be read. */
    onlay: (text: string) => void;
    /** The mix as it stands, to be kept with a verdict. */
    mix: NonNullable<PayloadInput<'judgement.keep'>['wall']>['blend'];
    /** Where it stands: the address is kept with a mix that is taken as a sample. */
    keep: { query: string };
  };
  let {
    entry = $bindable(),
    mix = $bindable(),
    keep,
    soil,
    name,
    techniques,
    figures,
    tests,
    others,
    onlay
  }: Props = $props();

  const technique = $derived(techniques.find((one) => one.id === entry.technique) ?? techniques[0]);
  const rows = $derived(rowsOf(entry.blend));
  const put = (next: readonly BlendRow[]) => (entry.blend = blendText(next));
  const change = (at: number, key: keyof typeof EMPTY_ROW, value: string) =>
    put(rows.map((row, i) => (i === at ? { ...row, [key]: value } : row)));

  const known = $derived(materialsOf(rows, { own: soil, name, others }, technique.on, figures));
  const materials = $derived(known.map((k) => k.material));
  const batch = $derived(batchOf(entry.batch, figures));
  const problems = $derived(blendProblems({ materials, buckets: batch }));
  const said = (field: string) => problems.find((p) => p.field === field)?.message;
  const blend = $derived<Blend | undefined>(
    problems.length > 0 ? undefined : solveBlend({ technique, materials, buckets: batch })
  );
  const answer = $derived(
    blend?.kind === 'blend'
      ? blend.buckets
      : blend?.kind === 'none'
        ? blend.nearest.map(Math.round)
        : undefined
  );
  /** Buckets as somebody changed them by hand, of the materials that stood there then. */
  let changed = $state<{ of: string; buckets: number[] }>();
  const stand = $derived(JSON.stringify([technique, materials, batch]));
  const hand = $derived(changed?.of === stand ? changed.buckets : undefined);
  const buckets = $derived(hand ?? answer ?? materials.map(() => 0));
  const step = (at: number, by: number) =>
    (changed = { of: stand, buckets: buckets.map((n, i) => (i === at ? Math.max(0, n + by) : n)) });

  const mixed = $derived(problems.length > 0 ? undefined : judgeBuckets(technique, materials, buckets));
  const judged = $derived(mixed?.said);
  const jar = $derived(mixed?.shares);
  const parts = $derived(
    materials.flatMap((m, i) => (buckets[i] > 0 ? [t.wall.blend.buckets(buckets[i], m.name)] : [])).join(', ')
  );
  const sentence = $derived.by(() => {
    if (!judged) return t.wall.blend.nothing;
    if (hand || blend?.kind === 'blend') return mixText(parts, judged);
    if (blend?.kind === 'part') return t.wall.blend.part;
    const blocks = blend?.kind === 'none' ? blend.blocks.map((w) => t.wall.doubt[w.of]).join(', ') : '';
    return t.wall.blend.none(technique.name, blocks);
  });
  $effect(() => {
    const now = {
      techniqueKey: technique.id,
      materials: entry.blend,
      batch: entry.batch,
      buckets: hand ?? null
    };
    untrack(() => (mix = now));
  });

  /** The mix as a sample of its own: jars and trial pieces are made of it, and stand beside what it promised. */
  async function take() {
    if (!mixed) return;
    const sampleId = ulid();
    const named = materials.flatMap((m, i) =>
      buckets[i] > 0 ? [{ name: m.name, buckets: buckets[i] }] : []
    );
    const { clay, sand, silt } = mixed.shares;
    const payload = {
      sampleId,
      name: t.wall.blend.sampleName(parts).slice(0, 80),
      mix: {
        parts: named,
        technique: technique.name,
        on: technique.on,
        shares: { sand, silt, clay },
        sd: { sand: mixed.sd.sand, clay: mixed.sd.clay },
        query: keep.query
      }
    };
    try {
      const sent = await send('sample.mix', payload);
      await goto(`/set?sample=${sampleId}`);
      offerUndo(sent, t.wall.blend.taken(sent.done ? (sent.answer.code ?? '') : ''), () => goto('/act'));
    } catch (problem) {
      sayProblem(problemText(problem));
    }
  }
  const mesh = $derived(meshOf(technique));
  /** Rows of soils that cannot be mixed: they stay, and are told. */
  const unread = $derived(
    rows.flatMap((row, at) => (known.some((k) => k.at === at) ? [] : [{ at, of: row.of }]))
  );
  const stony = $derived(
    materials
      .filter((m, i) => mesh !== undefined && buckets[i] > 0 && (m.stoneMm ?? 0) > mesh)
      .map((m) => m.name)
  );
</script>

<section
  aria-label={t.wall.blend.title}
  class="grid gap-4 print:break-before-page"
  class:no-print={entry.blend === ''}
>
  <div>
    <h2>{t.wall.blend.title}</h2>
    <p class="faded small no-print">{t.wall.blend.lead}</p>
  </div>
  <div class="flex flex-wrap gap-x-7 gap-y-3 no-print">
    <Field label={t.wall.blend.technique}>
      {#snippet children(at)}
        <select
          {...at}
          class="select"
          value={technique.id}
          onchange={(e) => (entry.technique = e.currentTarget.value)}
        >
          {#each techniques as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
        </select>
      {/snippet}
    </Field>
    <TextField
      label={t.wall.blend.batch}
      error={said('buckets')}
      inputmode="numeric"
      bind:value={entry.batch}
      placeholder={String(figures.batchBuckets)}
      class="w-[6rem]"
    />
  </div>

  <p
    class="font-head text-xl font-bold leading-[1.2] max-w-[46rem]"
    data-testid="blend-answer"
    aria-live="polite"
  >
    {sentence}
  </p>
  {#if !hand && blend?.kind === 'none'}
    {#if blend.missing}
      <p>
        {t.wall.blend.missing(
          t.wall.blend.kinds[blend.missing.kind],
          t.common.percent(Math.ceil(blend.missing.sharePct))
        )}
      </p>
    {/if}
    {#if parts}<p>{t.wall.blend.nearest(parts)}</p>{/if}
  {/if}

  <div class="grid grid-cols-[minmax(0,1fr)_230px] gap-x-8 gap-y-5 items-start max-sm:grid-cols-1">
    <div class="grid gap-5">
      {#each known as { at, row, material }, i (row.of + String(at))}
        <div class="material border-t border-hair pt-3">
          <Buckets
            name={material.name}
            shares={material.shares}
            count={buckets[i]}
            onmore={() => step(i, 1)}
            onfewer={() => step(i, -1)}
          />
          <div class="no-print grid grid-cols-[repeat(auto-fit,minmax(7.5rem,1fr))] gap-x-4 gap-y-2">
            {#each [['bucketKg', 'bucketKg', figures.bucketKg], ['moisture', 'moisturePct', figures.earthMoisturePct], ['gravel', 'gravelPct', material.gravelPct.toFixed(0)], ['most', 'most', ''], ['price', 'price', ''], ['carry', 'carryM', '']] as const as [key, field, usual] (key)}
              <Field label={t.wall.blend[key]} error={said(`materials.${i}.${field}`)}>
                {#snippet children(entry)}
                  <input
                    {...entry}
                    class="input"
                    inputmode="decimal"
                    value={row[key]}
                    oninput={(e) => change(at, key, e.currentTarget.value)}
                    placeholder={String(usual)}
                  />
                {/snippet}
              </Field>
            {/each}
          </div>
          {#if rows.length > 1}
            <button
              type="button"
              class="link min-h-touch justify-self-start no-print"
              aria-label={t.wall.blend.off(material.name)}
              onclick={() => put(rows.filter((_, k) => k !== at))}>{t.ground.takeOff}</button
            >
          {/if}
        </div>
      {/each}
      {#each unread as { at, of } (at)}
        <p class="no-print">
          {t.wall.blend.unread(tests.find((test) => test.id === of)?.code ?? of)}
          <button
            type="button"
            class="link min-h-touch"
            aria-label={t.wall.blend.off(of)}
            onclick={() => put(rows.filter((_, k) => k !== at))}>{t.ground.takeOff}</button
          >
        </p>
      {/each}
      <AddMaterial
        {tests}
        full={rows.length >= MOST_ROWS}
        onadd={(of) => onlay(blendText([...rows, { of, ...EMPTY_ROW }]))}
      />
    </div>
    {#if jar}
      <div class="grid gap-2 justify-items-start">
        <SedimentColumn fractions={jar} width={112} height={220} label={t.wall.blend.mix} />
        <p class="small">{t.wall.blend.mix}. {t.wall.blend.run}</p>
        <button type="button" class="btn btn-primary no-print" onclick={take}>{t.wall.blend.take}</button>
        {#if hand}
          <button type="button" class="btn btn-secondary" onclick={() => (changed = undefined)}
            >{t.wall.blend.back}</button
          >
        {/if}
      </div>
    {/if}
  </div>
  {#if judged}
    <div class="grid grid-cols-[repeat(auto-fit,minmax(9rem,11rem))] gap-x-5 gap-y-3">
      {#each judged.windows.filter((w) => w.spread) as window (window.window.of)}
        <div>
          <span class="small font-bold">{t.wall.of[window.window.of].name}</span>
          <WallOpening said={window} />
          <span class="small num">{chanceText(window.chance ?? null)}</span>
        </div>
      {/each}
    </div>
    {#if judged.unknown.length > 0}
      <p class="faded small">
        {t.wall.blend.unknown(judged.unknown.map((of) => t.wall.doubt[of]).join(', '))}
      </p>
    {/if}
  {/if}
  {#if stony.length > 0}<p>{t.wall.blend.sieve(stony.join(', '), String(mesh))}</p>{/if}
</section>

<style>
  .material {
    display: grid;
    gap: var(--spacing-3);
  }
</style>
