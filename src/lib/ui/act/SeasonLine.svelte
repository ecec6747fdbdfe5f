<!--
  @component The seasons of an area on one line: its tests as columns of sediment by their day, and what was done between them
  as flags under it.
-->
<script lang="ts">
  import { scaleTime } from 'd3-scale';
  import type { AmendmentRecord } from '$lib/contract/records/amendment';
  import type { AreaTest } from '$lib/workbench/seasons';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import { wholeShares } from '$lib/words/headline';

  type Props = {
    tests: readonly AreaTest[];
    amendments: readonly AmendmentRecord[];
    label: string;
    format: Format;
  };
  let { tests, amendments, label, format }: Props = $props();

  const [WIDTH, LEFT, RIGHT, TOP, GROUND, COLUMN] = [900, 60, 840, 34, 234, 54];
  const FLAG_ROW = 26;
  const day = (date: string) => Date.parse(`${date}T12:00:00Z`);
  const times = $derived([...tests.map((test) => test.at), ...amendments.map((a) => day(a.doneOn))]);
  const x = $derived(
    scaleTime()
      .domain([Math.min(...times), Math.max(...times)])
      .range([LEFT, RIGHT])
  );
  const PARTS = ['sand', 'silt', 'clay'] as const;
  const high = (share: number) => (share / 100) * (GROUND - TOP);
  const columns = $derived(
    [...tests]
      .sort((a, b) => a.at - b.at)
      .map((test) => {
        const { sand, silt } = test.fractions;
        const below = { sand: 0, silt: sand, clay: sand + silt };
        const shares = wholeShares(test.fractions);
        const strata = PARTS.map((part) => ({
          part,
          y: GROUND - high(below[part] + test.fractions[part]),
          high: high(test.fractions[part]),
          share: shares[part]
        }));
        return { test, x: x(test.at), strata };
      })
  );
  /** Between two tests the layers are led over by their lines. */
  const ties = $derived(
    columns.slice(1).flatMap((to, i) => {
      const from = columns[i];
      return [0, 1].map((k) => ({
        d: `M${from.x + COLUMN / 2} ${from.strata[k].y}L${to.x - COLUMN / 2} ${to.strata[k].y}`,
        key: `${from.test.id}-${k}`
      }));
    })
  );
  const flags = $derived.by(() => {
    const ends = [-Infinity, -Infinity, -Infinity];
    return amendments.map((one) => {
      const at = x(day(one.doneOn));
      const text = t.beds.kinds[one.kind];
      const row = Math.max(
        0,
        ends.findIndex((end) => at > end)
      );
      ends[row] = at + 16 + 8 * text.length;
      return { one, at, row, text, wide: 14 + 8 * text.length };
    });
  });
  const rows = $derived(Math.max(0, ...flags.map((flag) => flag.row + 1)));
</script>

<svg
  viewBox="0 0 {WIDTH} {GROUND + 28 + rows * FLAG_ROW}"
  class="block w-full max-w-[980px] overflow-visible"
  role="img"
  aria-label={label}
>
  {#each ties as tie (tie.key)}<path d={tie.d} class="tie" />{/each}
  {#each flags as { one, at, row } (one.id)}
    <path d="M{at} {GROUND}V{GROUND + 48 + row * FLAG_ROW}" class="pole" />
  {/each}
  {#each columns as column (column.test.id)}
    {#each column.strata as s (s.part)}
      <rect x={column.x - COLUMN / 2} y={s.y} width={COLUMN} height={s.high} fill="url(#grain-{s.part})" />
      {#if s.high > 18}
        <rect x={column.x - 17} y={s.y + s.high / 2 - 10} width="34" height="19" rx="2" class="behind" />
        <text x={column.x} y={s.y + s.high / 2 + 5} text-anchor="middle" class="share">{s.share}</text>
      {/if}
    {/each}
    <path d="M{column.x - COLUMN / 2} {TOP - 6}V{GROUND}H{column.x + COLUMN / 2}V{TOP - 6}" class="glass" />
    <text x={column.x} y={TOP - 14} text-anchor="middle" class="code">{column.test.code}</text>
    <text x={column.x} y={GROUND + 17} text-anchor="middle" class="day">{format.day(column.test.at)}</text>
  {/each}
  <path d="M20 {GROUND}H{WIDTH - 20}" class="ground" />
  {#each flags as { one, at, row, text, wide } (one.id)}
    {@const top = GROUND + 28 + row * FLAG_ROW}
    <path d="M{at} {top}h{wide}l-5 10l5 10h-{wide}z" class="flag" />
    <text x={at + 6} y={top + 14} class="on-flag">{text}</text>
  {/each}
</svg>

<style>
  .tie {
    stroke: var(--rule);
    stroke-width: 1.4;
    stroke-dasharray: 4 4;
  }
  .behind {
    fill: var(--label);
    opacity: 0.92;
  }
  text {
    font: 500 var(--text-xs) var(--face-text);
    fill: var(--ink);
  }
  .day {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
  }
  .share {
    fill: var(--sediment-ink);
    font-weight: 700;
    font-variant-numeric: tabular-nums;
  }
  .code {
    font: 700 var(--text-base) var(--face-head);
  }
  .glass,
  .ground,
  .pole {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  .pole {
    stroke-width: 1.3;
  }
  .flag {
    fill: var(--tape);
    stroke: var(--tape-edge);
  }
  .on-flag {
    fill: var(--tape-ink);
    font-weight: 700;
  }
  @media (max-width: 640px) {
    text,
    .code {
      font-size: var(--text-lg);
    }
  }
</style>
