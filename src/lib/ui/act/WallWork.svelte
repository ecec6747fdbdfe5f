<!-- @component A soil for a wall: every technique a row, its windows as openings; what no jar says beside it. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import {
    judgeTechnique,
    movedShares,
    otherBasis,
    signSays,
    WALL_OF,
    WALL_SIGNS,
    wallFactProblems,
    type Figures,
    type Fractions,
    type Technique,
    type TechniqueSaid,
    type WallSign,
    type WallSoil
  } from '$lib/core';
  import { t } from '$lib/words';
  import { chanceText } from '$lib/words/headline';
  import { wallVerdict } from '$lib/words/wall';
  import Field from '../fields/Field.svelte';
  import { readNumber } from '../fields/read';
  import type { ActEntry } from './acting.svelte';
  import BlendBench from './BlendBench.svelte';
  import WallOpening from './WallOpening.svelte';

  type Props = {
    entry: ActEntry;
    soil: WallSoil;
    techniques: readonly Technique[];
    figures: Figures;
    /** What the soil in hand is called, and what else may be mixed in. */
    name: string;
    tests: readonly { id: string; code: string; name: string }[];
    others: readonly { id: string; code: string; soil: WallSoil }[];
    onlay: (text: string) => void;
    /** What the soil was dragged from and to. */
    dragged?: { from: Fractions; to: Fractions };
    /** What it is known by. */
    basis?: string;
    /** The soil as its column, and the way back from what it was dragged to. */
    column: Snippet;
    moved: Snippet;
  };
  let {
    entry = $bindable(),
    soil,
    techniques,
    figures,
    name,
    tests,
    others,
    onlay,
    dragged,
    basis,
    column,
    moved
  }: Props = $props();

  const signs = $derived(WALL_SIGNS.filter((sign) => entry.signs.split(',').includes(sign)));
  const toggle = (sign: WallSign, on: boolean) =>
    (entry.signs = WALL_SIGNS.filter((s) => (s === sign ? on : signs.includes(s))).join(','));

  /** What was typed in the place of what is known. */
  const typed = $derived(
    Object.fromEntries(
      (
        [
          ['gravelPct', entry.gravel],
          ['stoneMm', entry.stone],
          ['organicPct', entry.skin]
        ] as const
      ).flatMap(([field, text]) => (text.trim() === '' ? [] : [[field, readNumber(text)]]))
    ) as Partial<Pick<WallSoil, 'gravelPct' | 'stoneMm' | 'organicPct'>>
  );
  const problems = $derived(wallFactProblems(typed));
  const wrong = (field: keyof typeof typed) => problems.find((p) => p.field === field)?.message;
  /** One that cannot be does not count. */
  const factOf = <F extends keyof typeof typed>(field: F) =>
    wrong(field) ? soil[field] : (typed[field] ?? soil[field]);
  const move = (shares: Float64Array | undefined) =>
    shares && dragged ? movedShares(shares, dragged.from, dragged.to) : shares;
  const judged = $derived<WallSoil>({
    ...soil,
    heights: move(soil.heights),
    mass: move(soil.mass),
    gravelPct: factOf('gravelPct') ?? 0,
    stoneMm: factOf('stoneMm'),
    organicPct: factOf('organicPct')
  });
  const said = $derived(techniques.flatMap((technique) => judgeTechnique(technique, judged) ?? []));
  /** What the other basis says, where the two part. */
  function parting(one: TechniqueSaid): string | undefined {
    const there = otherBasis(one, judged);
    return there && t.wall[there.on === 'mass' ? 'parts' : 'partsHeights'](chanceText(there.chance));
  }
  const refusedBy = (technique: Technique) => signs.find((sign) => signSays(sign, technique) === 'refused');
</script>

<div class="grid gap-3">
  <p
    class="font-head text-2xl print:text-xl font-[650] leading-[1.2] max-w-[46rem]"
    data-testid="act-verdict"
    aria-live="polite"
  >
    {wallVerdict(said, signs)}
  </p>
  <p class="text-lg max-w-[46rem]">{t.wall.nextStep}</p>
  {#if basis}<p class="faded small">{basis}</p>{/if}
  {#if signs.includes('cloudy')}<p class="caution">{t.wall.warns.cloudy}</p>{/if}
</div>

<div
  class="grid grid-cols-[200px_minmax(0,1fr)] gap-x-9 gap-y-5 items-start max-lg:grid-cols-1 print:grid-cols-[95px_minmax(0,1fr)] print:gap-x-5 print:text-sm"
>
  <div>{@render column()}{@render moved()}</div>
  <div role="table" aria-label={t.wall.title}>
    <div role="row" class="row head">
      <span role="columnheader">{t.wall.technique}</span>
      {#each WALL_OF as of (of)}
        <span role="columnheader"
          >{`${t.wall.of[of].name}${t.wall.of[of].unit ? `, ${t.wall.of[of].unit}` : ''}`}</span
        >
      {/each}
    </div>
    {#each said as one (one.technique.id)}
      {@const { technique, chance, on, windows } = one}
      {@const refused = refusedBy(technique)}
      {@const other = parting(one)}
      <div role="row" class="row border-t border-hair" class:refused={refused !== undefined}>
        <span role="rowheader">
          <span class="font-head font-bold text-lg block">{technique.name}</span>
          {#if refused}
            <span class="wrong">{t.wall.refused[refused]}</span>
          {:else}
            <span class="font-bold num">{chanceText(chance)}</span>
            <span class="faded small block"
              >{on === technique.on ? t.wall.on[on] : t.wall.instead[on]}{other ? `. ${other}` : ''}</span
            >
          {/if}
        </span>
        {#each WALL_OF as of (of)}
          {@const window = windows.find((w) => w.window.of === of)}
          <span role="cell" class:empty={!window}>
            {#if window}
              <span class="name small">{t.wall.of[of].name}</span>
              <WallOpening said={window} />
              <span class="small num"
                >{window.chance === undefined ? t.wall.unknown : chanceText(window.chance)}</span
              >
            {:else}<span class="sr-only">{t.wall.notAsked}</span>{/if}
          </span>
        {/each}
      </div>
    {/each}
  </div>
</div>

<section aria-label={t.wall.facts} class="no-print">
  <h2 class="text-lg text-faded">{t.wall.facts}</h2>
  <div class="grid grid-cols-[repeat(auto-fit,minmax(12rem,16rem))] gap-x-6 gap-y-3 mt-2">
    {#each [['gravel', 'gravelPct'], ['stone', 'stoneMm'], ['skin', 'organicPct']] as const as [key, field] (key)}
      {@const known = soil[field]}
      <Field label={t.wall[key === 'skin' ? 'organic' : key]} error={wrong(field)}>
        {#snippet children(at)}<input
            {...at}
            class="input"
            inputmode="decimal"
            bind:value={entry[key]}
            placeholder={known === undefined ? '' : known.toFixed(key === 'stone' ? 1 : 0)}
          />{/snippet}
      </Field>
    {/each}
  </div>
  <fieldset class="mt-3">
    <legend class="sr-only">{t.wall.seen}</legend>
    {#each WALL_SIGNS as sign (sign)}
      <label class="flex items-center gap-2 min-h-touch">
        <input
          type="checkbox"
          class="checkbox"
          checked={signs.includes(sign)}
          onchange={(e) => toggle(sign, e.currentTarget.checked)}
        />
        {t.wall.signs[sign]}
      </label>
    {/each}
  </fieldset>
</section>

{#if !soil.only}
  <BlendBench bind:entry soil={judged} {name} {techniques} {figures} {tests} {others} {onlay} />
{/if}

<style>
  .row {
    display: grid;
    grid-template-columns: 9rem repeat(6, minmax(0, 1fr));
    gap: 0 var(--spacing-5);
    align-items: center;
    padding: var(--spacing-3) 0;
  }
  .head {
    padding: 0;
    color: var(--faded);
    font-size: var(--text-sm);
    align-items: end;
  }
  .refused [role='cell'] {
    opacity: 0.45;
  }
  .name {
    display: none;
  }
  @media screen and (max-width: 900px) {
    .head {
      display: none;
    }
    .row {
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: var(--spacing-4) var(--spacing-5);
    }
    [role='rowheader'] {
      grid-column: 1 / -1;
    }
    .empty {
      display: none;
    }
    .name {
      display: block;
      font-weight: 600;
    }
  }
  @media print {
    .row {
      grid-template-columns: 6.5rem repeat(6, minmax(0, 1fr));
      gap: 0 var(--spacing-3);
      padding: var(--spacing-2) 0;
    }
  }
</style>
