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

  const [MARGIN, TOP, GROUND] = [46, 34, 234];
  const FLAG_ROW = 26;
  const DAY_ROW = 17;
  /** As wide as its place, so that it can be read on a phone; columns are slimmer there. */
  let width = $state(900);
  const column = $derived(width < 560 ? 40 : 54);
  const day = (date: string) => Date.parse(`${date}T12:00:00Z`);
  const times = $derived([...tests.map((test) => test.at), ...amendments.map((a) => day(a.doneOn))]);
  const x = $derived(
    scaleTime()
      .domain([Math.min(...times), Math.max(...times)])
      .range([MARGIN, width - MARGIN])
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
        return { test, strata };
      })
      .map((one, i, all) => ({ ...one, x: spread(all.map(({ test }) => x(test.at)))[i] }))
  );
  /** Tests of one week stand beside each other, not on each other. */
  function spread(places: readonly number[]): number[] {
    const gap = column + 8;
    const out = [...places];
    for (let i = 1; i < out.length; i++) out[i] = Math.max(out[i], out[i - 1] + gap);
    for (let i = out.length - 1; i >= 0; i--)
      out[i] = Math.min(out[i], width - MARGIN - (out.length - 1 - i) * gap);
    return out;
  }
  /** Days that would lie on each other are written in two rows. */
  const DAY_WIDE = 96;
  const crowded = $derived(columns.some((c, i) => i > 0 && c.x - columns[i - 1].x < DAY_WIDE));
  const flagsFrom = $derived(GROUND + 28 + (crowded ? DAY_ROW : 0));
  /** Between two tests the layers are led over by their lines. */
  const ties = $derived(
    columns.slice(1).flatMap((to, i) => {
      const from = columns[i];
      return [0, 1].map((k) => ({
        d: `M${from.x + column / 2} ${from.strata[k].y}L${to.x - column / 2} ${to.strata[k].y}`,
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

<div bind:clientWidth={width} class="w-full max-w-[980px]">
  <svg
    viewBox="0 0 {width} {flagsFrom + rows * FLAG_ROW}"
    {width}
    height={flagsFrom + rows * FLAG_ROW}
    class="block overflow-visible"
    role="img"
    aria-label={label}
  >
    {#each ties as tie (tie.key)}<path d={tie.d} class="tie" />{/each}
    {#each flags as { one, at, row } (one.id)}
      <path d="M{at} {GROUND}V{flagsFrom + 20 + row * FLAG_ROW}" class="pole" />
    {/each}
    {#each columns as one, i (one.test.id)}
      {#each one.strata as s (s.part)}
        <rect x={one.x - column / 2} y={s.y} width={column} height={s.high} fill="url(#grain-{s.part})" />
        {#if s.high > 18}
          <rect x={one.x - 17} y={s.y + s.high / 2 - 10} width="34" height="19" rx="2" class="behind" />
          <text x={one.x} y={s.y + s.high / 2 + 5} text-anchor="middle" class="share">{s.share}</text>
        {/if}
      {/each}
      <path d="M{one.x - column / 2} {TOP - 6}V{GROUND}H{one.x + column / 2}V{TOP - 6}" class="glass" />
      <text x={one.x} y={TOP - 14} text-anchor="middle" class="code">{one.test.code}</text>
      <text
        x={one.x}
        y={GROUND + 17 + (crowded && i % 2 === 1 ? DAY_ROW : 0)}
        text-anchor="middle"
        class="day">{format.day(one.test.at)}</text
      >
    {/each}
    <path d="M20 {GROUND}H{width - 20}" class="ground" />
    {#each flags as { one, at, row, text, wide } (one.id)}
      {@const top = flagsFrom + row * FLAG_ROW}
      <path d="M{at} {top}h{wide}l-5 10l5 10h-{wide}z" class="flag" />
      <text x={at + 6} y={top + 14} class="on-flag">{text}</text>
    {/each}
  </svg>
</div>

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
</style>
