<!--
  @component A drainage hole cut open, to scale: the ground, the water in it, and tape on its wall for what was read.
-->
<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { MM_PER } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';

  type Props = {
    code: string;
    depthMm: number;
    widthMm: number;
    /** Water over the bottom, mm; undefined where nobody knows. */
    waterMm?: number;
    /** Heights that were read, with the time written on their tape. */
    tapes?: readonly { mm: number; text: string }[];
    format: Format;
    /** Without ruler and tape, as it stands on the bench. */
    small?: boolean;
  };
  let { code, depthMm, widthMm, waterMm, tapes = [], format, small = false }: Props = $props();

  /** Room about the hole, as shares of its depth; above it stands the grass. */
  const HIGH = 300;
  const ABOVE = 34;
  const BELOW = 40;
  const px = $derived(HIGH / Math.max(depthMm, 0.55 * widthMm));
  const deep = $derived(depthMm * px);
  const wide = $derived(widthMm * px);
  const margin = $derived(small ? 46 : 92);
  const width = $derived(wide + 2 * margin);
  const height = $derived(ABOVE + deep + BELOW);
  const y = $derived((mm: number) => ABOVE + deep - mm * px);
  const left = $derived(margin);
  const right = $derived(margin + wide);
  /** A spade leaves no straight wall. */
  const wall = $derived(
    `M${left} ${ABOVE}q5 ${deep * 0.2} 1 ${deep * 0.42}t2 ${deep * 0.58 - 6}q2 6 9 6H${right - 11}q7 0 8 -7q-4 ${-deep * 0.24} 1 ${-deep * 0.5}T${right} ${ABOVE}`
  );
  /** The ruler that stands in it counts in the unit of the reader. */
  const unit = $derived(format.profile.length);
  const each = $derived(MM_PER[unit]);
  const marks = $derived(
    scaleLinear()
      .domain([0, depthMm / each])
      .ticks(7)
      .map((n) => ({ n, mm: n * each }))
  );
  const RULER = { left: 16, width: 46, over: 24 };
  /** Strips of tape that lie on each other are moved apart; their lines are not. */
  const TAPE_HIGH = 23;
  const strips = $derived.by(() => {
    let free = -Infinity;
    return [...tapes]
      .sort((a, b) => b.mm - a.mm)
      .map(({ mm, text }) => {
        const at = Math.max(y(mm), free);
        free = at + TAPE_HIGH;
        return { mm, text, at };
      });
  });
  const uid = $props.id();
  const blades = $derived(
    Array.from({ length: Math.floor(width / 17) }, (_, i) => 8 + i * 17).filter(
      (x) => x < left - 4 || x > right + 4
    )
  );
</script>

<svg
  viewBox="0 0 {width} {height}"
  class="block overflow-visible"
  role="img"
  aria-label={t.hole.drawing(
    code,
    waterMm === undefined
      ? t.hole.unmeasured
      : waterMm > 0
        ? t.hole.waterIs(format.length(waterMm))
        : t.hole.noWater
  )}
>
  <defs><clipPath id="{uid}-hole"><path d="{wall}z" /></clipPath></defs>
  <rect x="0" y={ABOVE} {width} height={height - ABOVE} fill="url(#grain-dry)" />
  <rect x="0" y={ABOVE} {width} height="13" fill="url(#grain-skin)" />
  <path d="{wall}z" class="air" />
  <g clip-path="url(#{uid}-hole)">
    {#if waterMm === undefined}
      <rect x={left - 20} y={y(depthMm * 0.5)} width={wide + 40} height={deep} class="water unsure" />
    {:else if waterMm > 0}
      <rect x={left - 20} y={y(waterMm)} width={wide + 40} height={waterMm * px + 4} class="water" />
      <path d="M{left - 20} {y(waterMm)}h{wide + 40}" class="level" />
    {/if}
  </g>
  <path d={wall} class="edge" />
  {#each blades as x, i (x)}
    <path
      d="M{x} {ABOVE + 1}q-1 -9 {i % 3 === 0 ? -5 : -2} -14M{x + 3} {ABOVE + 1}q1 -7 {i % 2 ? 4 : 1} -11"
      class="blade"
    />
  {/each}
  <path d="M0 {ABOVE}H{left}M{right} {ABOVE}H{width}" class="edge" />
  {#if !small}
    <rect
      x={left + RULER.left}
      y={ABOVE - RULER.over}
      width={RULER.width}
      height={deep + RULER.over}
      class="ruler"
    />
    <text x={left + RULER.left + 6} y={ABOVE - 8} class="on-ruler">{unit}</text>
    {#each marks as { n, mm } (n)}
      <path d="M{left + RULER.left} {y(mm)}h9" class="tick" />
      <text x={left + RULER.left + 13} y={mm === 0 ? y(mm) - 3 : y(mm) + 4.5} class="on-ruler">{n}</text>
    {/each}
    {#each strips as { mm, text, at }, i (i)}
      <path d="M{left + RULER.left + RULER.width} {y(mm)}H{right - 6}L{right - 2} {at}" class="seen" />
      <rect
        x={right - 2}
        y={at - 11}
        width={margin - 8}
        height="22"
        class="tape"
        transform="rotate(-1.5 {right} {at})"
      />
      <text x={right + 5} y={at + 5} class="on-tape">{text}</text>
    {/each}
  {/if}
</svg>

<style>
  .air {
    fill: var(--air);
  }
  .water {
    fill: var(--clear);
  }
  .unsure {
    opacity: 0.5;
  }
  .level {
    stroke: var(--glass);
    stroke-width: 2;
  }
  .edge {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  .blade,
  .tick {
    fill: none;
    stroke: var(--glass);
    stroke-width: 1.6;
    stroke-linecap: round;
  }
  .tick {
    stroke: var(--tape-ink);
    stroke-width: 1.2;
  }
  .seen {
    fill: none;
    stroke: var(--glass);
    stroke-dasharray: 3 4;
  }
  .tape {
    fill: var(--tape);
    stroke: var(--tape-edge);
  }
  .ruler {
    fill: var(--label);
    fill-opacity: 0.9;
    stroke: var(--tape-edge);
  }
  .on-ruler,
  .on-tape {
    fill: var(--tape-ink);
    font: 600 var(--text-xs) var(--face-text);
    font-variant-numeric: tabular-nums;
  }
  .on-tape {
    font-weight: 700;
  }
</style>
