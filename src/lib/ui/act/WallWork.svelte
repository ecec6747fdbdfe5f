<!-- @component A soil for a wall: every technique a row, its windows as openings; what no jar says beside it. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import {
    judgeTechnique,
    movedShares,
    otherBasis,
    isOpen,
    openTo,
    suitsBest,
    signsOf,
    WALL_SIGNS,
    wallFactProblems,
    type Figures,
    type Fractions,
    type ReadingDoubt,
    type Technique,
    type TechniqueKept,
    type ToSettle,
    type WallSign,
    type WallSoil
  } from '$lib/core';
  import { untrack } from 'svelte';
  import { clock } from '$lib/browser/clock.svelte';
  import { SettleWork } from '$lib/browser/work';
  import { adviceFor } from '$lib/workbench/folder';
  import { viewTrial } from '$lib/workbench/trials';
  import type { PayloadInput } from '$lib/contract/commands';
  import type { JudgementRecord } from '$lib/contract/records/judgement';
  import type { TrialRecord } from '$lib/contract/records/trial';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import { chanceText } from '$lib/words/headline';
  import { wallVerdict } from '$lib/words/wall';
  import TextField from '../fields/TextField.svelte';
  import { readNumber } from '$lib/workbench/entry/figure';
  import type { ActEntry } from './acting.svelte';
  import BlendBench from './BlendBench.svelte';
  import Doubts from '../answer/Doubts.svelte';
  import KeepJudgement from './KeepJudgement.svelte';
  import Settling from './Settling.svelte';
  import WallPieces from './WallPieces.svelte';
  import WallTable from './WallTable.svelte';

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
    /** Whether a laboratory has said what it is by mass. */
    lab?: boolean;
    /** What stands against its heights. */
    doubts?: readonly ReadingDoubt[];
    /** The test in hand, its sample, and the pieces that were made of it. */
    chosen: { id: string; code: string; sample: { id: string; areaId: string | null } } | null;
    pieces: readonly TrialRecord[];
    /** What is kept with the verdict, and those that were kept. */
    keep: Pick<PayloadInput<'judgement.keep'>, 'testId' | 'typed' | 'figuresKey' | 'query'>;
    kept: readonly JudgementRecord[];
    format: Format;
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
    lab = false,
    doubts = [],
    chosen,
    pieces,
    keep,
    kept,
    format,
    column,
    moved
  }: Props = $props();

  const signs = $derived(
    signsOf(
      soil,
      WALL_SIGNS.filter((sign) => entry.signs.split(',').includes(sign))
    )
  );
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
  /** What would settle the verdict of the technique that it suits best, where that is open. */
  const settle = new SettleWork();
  const settling = $derived.by((): ToSettle | undefined => {
    const open = openTo(said, signs).filter((one) => !one.partly);
    const best = open.length > 0 ? suitsBest(open) : undefined;
    if (!best || !isOpen(best.chance)) return undefined;
    const { technique, on } = best;
    const shares = judged[on];
    if (!shares) return undefined;
    const { gravelPct, stoneMm, organicPct } = judged;
    const asked = {
      ask: 'wall' as const,
      technique: { ...technique, on },
      facts: { gravelPct, stoneMm, organicPct }
    };
    // What a laboratory has said of the mass no other would say better; of the heights another jar may.
    const byMass =
      lab && on === 'mass' ? (['second-jar', 'weighed-jar', 'hydrometer', 'laboratory'] as const) : [];
    return { shares, asked, without: [...(chosen ? [] : (['ribbon'] as const)), ...byMass] };
  });
  $effect(() => {
    const question = settling;
    untrack(() => settle.ask(question && $state.snapshot(question)));
  });
  /** What is advised next: by the verdict, the mix that was kept last, and the pieces that were made. */
  const advice = $derived(
    adviceFor(
      said,
      signs,
      kept.map((one) => one.kept).find((one) => one.ask === 'wall'),
      pieces.map((one) => viewTrial(one, figures, clock.now)),
      soil
    )
  );
  /** The mix that stands on the blend bench, to be kept with the verdict. */
  let mix = $state<NonNullable<PayloadInput<'judgement.keep'>['wall']>['blend']>(null);
  const wallFacts = $derived({
    gravelPct: typed.gravelPct ?? null,
    stoneMm: typed.stoneMm ?? null,
    organicPct: typed.organicPct ?? null,
    signs,
    // A mix that nobody asked for is not kept: one of which neither technique nor materials nor a bucket were touched.
    blend: entry.blend === '' && entry.technique === '' && !mix?.buckets ? null : mix
  });
  /** What the other basis says, where the two part. */
  function parting(one: TechniqueKept): string | undefined {
    const there = otherBasis(one, judged);
    return there && t.wall[there.on === 'mass' ? 'parts' : 'partsHeights'](chanceText(there.chance));
  }
</script>

<div class="grid gap-3">
  <p
    class="font-head text-2xl print:text-xl font-[650] leading-[1.2] max-w-[46rem]"
    data-testid="act-verdict"
    aria-live="polite"
  >
    {wallVerdict(said, signs)}
  </p>
  <p class="text-lg max-w-[46rem]">{t.folder.next[advice]}</p>
  <Doubts {doubts} />
  {#if basis}<p class="faded small">{basis}</p>{/if}
  <Settling steps={settle.steps} {chosen} />
  {#if signs.includes('cloudy')}<p class="caution">{t.wall.warns.cloudy}</p>{/if}
</div>

<div
  class="grid grid-cols-[200px_minmax(0,1fr)] gap-x-9 gap-y-5 items-start max-lg:grid-cols-1 print:grid-cols-[95px_minmax(0,1fr)] print:gap-x-5 print:text-sm"
>
  <div>{@render column()}{@render moved()}</div>
  <WallTable {said} {signs} {parting} />
</div>

<section aria-label={t.wall.facts} class="no-print">
  <h2 class="text-lg text-faded">{t.wall.facts}</h2>
  <div class="grid grid-cols-[repeat(auto-fit,minmax(12rem,16rem))] gap-x-6 gap-y-3 mt-2">
    {#each [['gravel', 'gravelPct'], ['stone', 'stoneMm'], ['skin', 'organicPct']] as const as [key, field] (key)}
      {@const known = soil[field]}
      <TextField
        label={t.wall[key === 'skin' ? 'organic' : key]}
        error={wrong(field)}
        inputmode="decimal"
        bind:value={entry[key]}
        placeholder={known === undefined ? '' : known.toFixed(key === 'stone' ? 1 : 0)}
      />
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
          disabled={sign === 'smeared' && soil.smeared}
          onchange={(e) => toggle(sign, e.currentTarget.checked)}
        />
        {t.wall.signs[sign]}
      </label>
    {/each}
  </fieldset>
</section>

{#if !soil.only}
  <BlendBench
    bind:entry
    bind:mix
    soil={judged}
    {name}
    {techniques}
    {figures}
    {tests}
    {others}
    {onlay}
    {keep}
  />
{/if}
<KeepJudgement
  payload={{ ...keep, ask: 'wall', wall: wallFacts }}
  can={!dragged && problems.length === 0}
  {kept}
  {format}
/>
<WallPieces {chosen} {pieces} {figures} {format} />
