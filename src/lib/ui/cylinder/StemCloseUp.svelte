<!-- @component The stem of a hydrometer where it leaves the liquid, close up: its scale, and the meniscus climbing it. -->
<script lang="ts">
  type Props = {
    /** What the scale shows at the upper rim of the meniscus, and how far below the surface stands, both in its unit. */
    value: number;
    meniscus: number;
    /** How dark the liquid is, 0-1. */
    dark: number;
    label: string;
  };
  let { value, meniscus, dark, label }: Props = $props();
  const WIDTH = 210;
  const HEIGHT = 240;
  const PER_UNIT = 26;
  const STEM = 64;
  const RIM_Y = 110;
  /** Values grow downwards on a stem. */
  const y = (v: number) => RIM_Y + (v - value) * PER_UNIT;
  const ticks = $derived(
    Array.from({ length: 24 }, (_, i) => Math.floor(value) - 6 + i * 0.5).filter(
      (v) => y(v) > 4 && y(v) < HEIGHT - 4
    )
  );
  const [left, right] = [(WIDTH - STEM) / 2, (WIDTH + STEM) / 2];
  const surface = $derived(y(value + meniscus));
  /** Either side of the stem: level far off, climbing to the rim at the glass. */
  const side = (wall: number, away: number, edge: number) =>
    `M${edge} ${surface}H${wall + away * 34}C${wall + away * 10} ${surface} ${wall + away * 2} ${RIM_Y + 8} ${wall} ${RIM_Y}V${HEIGHT}H${edge}Z`;
  const liquid = $derived(side(left, -1, 0) + side(right, 1, WIDTH));
</script>

<svg width={WIDTH} height={HEIGHT} role="img" aria-label={label}>
  <rect width={WIDTH} height={HEIGHT} class="air" />
  <path d={liquid} class="liquid" />
  <path d={liquid} class="cloud" style:opacity={dark} />
  <rect x={left} y="0" width={STEM} height={HEIGHT} class="stem" />
  {#each ticks as v (v)}
    <path d="M{left} {y(v)}h{Number.isInteger(v) ? (v % 5 === 0 ? 34 : 24) : 12}" class="tick" />
    {#if Number.isInteger(v) && v % 2 === 0}<text x={right - 6} y={y(v) + 5} text-anchor="end">{v}</text>{/if}
  {/each}
  <rect
    x={left}
    y={RIM_Y}
    width={STEM}
    height={HEIGHT - RIM_Y}
    class="under"
    style:opacity={0.12 + 0.3 * dark}
  />
</svg>

<style>
  .air {
    fill: var(--air);
  }
  .liquid {
    fill: var(--clear);
  }
  .cloud,
  .under {
    fill: var(--cloud);
  }
  .stem {
    fill: var(--sheet);
    stroke: var(--ink);
  }
  .tick {
    stroke: var(--ink);
    stroke-width: 1.4;
  }
  text {
    font: 650 var(--text-sm) var(--face-text);
    font-variant-numeric: tabular-nums;
    fill: var(--ink);
  }
</style>
