<!-- @component One test of a comparison: its column, its laboratory beside it, and how it differs from the first. -->
<script lang="ts">
  import type { compareColumns } from '$lib/workbench/compare';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import { chanceText, classChance, sharesText } from '$lib/words/headline';
  import DropButton from '../kit/DropButton.svelte';
  import SedimentColumn from './SedimentColumn.svelte';

  type Column = ReturnType<typeof compareColumns>[number];
  type Props = {
    column: Column;
    /** The one that the others are held against. */
    first: Column;
    /** Whether it is the only one. */
    alone: boolean;
    /** Width of the column, px. */
    width: number;
    format: Format;
    ondrop: () => void;
    /** Puts it first; not given for the first. */
    onfirst?: () => void;
  };
  let { column: c, first, alone, width, format, ondrop, onfirst }: Props = $props();

  const say = t.know.compare;
  const PARTS = ['sand', 'silt', 'clay'] as const;
  const signed = (value: number) => `${value > 0 ? '+' : '−'}${Math.abs(value).toFixed(1)}`;
</script>

<li>
  <p class="code">
    <a class="link ink inline-flex items-center min-h-touch min-w-touch" href="/tests/{c.id}">{c.code}</a>
    <DropButton label={say.drop(c.code)} onclick={ondrop} />
  </p>
  <div class="flex items-end gap-2">
    <SedimentColumn
      fractions={c.fractions}
      {width}
      height={290}
      label={`${c.code}: ${sharesText(c.fractions)}`}
    />
    {#if c.lab}
      {@const { name, fractions } = c.lab}
      <SedimentColumn {fractions} width={30} height={290} plain label={`${name}: ${sharesText(fractions)}`} />
    {/if}
  </div>
  <div class="board" aria-hidden="true"></div>
  <p class="class font-head text-lg font-[650] leading-[1.2] pt-2">
    {classChance(c.className, c.probability, c.verdict)}
  </p>
  <p class="small">{c.sampleName}</p>
  <p class="small faded">
    {c.methodName}, {say.basis[c.basis]}<br />{c.at === null
      ? t.log.metOn(format.day(c.enteredAt))
      : format.day(c.at)}
  </p>
  {#if c.lab}<p class="small">{c.lab.name}: {say.points(c.lab.points.toFixed(1))}</p>{/if}
  {#if c.difference && first}
    <dl class="grid pt-2">
      {#each PARTS as part (part)}
        <div class="flex justify-between border-b border-hair">
          <dt>{t.layer[part]}</dt>
          <dd>{signed(c.difference.points[part])}</dd>
        </div>
      {/each}
    </dl>
    <p class="font-[650]">
      {c.difference.surest.sure > 0.6
        ? say.sure(
            chanceText(c.difference.surest.sure),
            c.difference.surest.secondHasMore ? c.code : first.code,
            t.layer[c.difference.surest.part]
          )
        : say.noTelling(t.layer[c.difference.surest.part])}
    </p>
    <p class="small lies {c.difference.lies}">{say.lies[c.difference.lies]}</p>
  {:else if !alone}
    <p class="small faded">{say.against}</p>
  {/if}
  {#if onfirst}
    <button type="button" class="link small no-print text-left min-h-touch" onclick={onfirst}
      >{say.first(c.code)}</button
    >
  {/if}
</li>

<style>
  li {
    flex: 1 0 8.4rem;
    max-width: 16rem;
    display: flex;
    flex-direction: column;
    gap: var(--spacing-1);
  }
  li > :not(.board) {
    margin: 0 var(--spacing-5) 0 0;
  }
  .code {
    font: 700 var(--text-xl)/1 var(--face-head);
    display: flex;
    align-items: center;
    min-height: 44px;
  }
  .board {
    height: 16px;
    background: linear-gradient(var(--shelf) 0 65%, var(--shelf-edge) 65% 100%);
    margin-top: calc(-1 * var(--spacing-1));
  }
  dd {
    margin: 0;
    font-weight: 700;
    font-variant-numeric: tabular-nums;
  }
  .lies {
    border-left: var(--line-heavy) solid var(--tape-edge);
    padding-left: var(--spacing-3);
  }
  .lies.soil {
    border-left-color: var(--pen);
  }
</style>
