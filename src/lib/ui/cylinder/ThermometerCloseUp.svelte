<!-- @component A thermometer close up: its thread among half degrees. -->
<script lang="ts">
  type Props = { tempC: number; label: string };
  let { tempC, label }: Props = $props();
  const WIDTH = 110;
  const HEIGHT = 240;
  const PER_DEGREE = 26;
  const low = $derived(Math.floor(tempC) - 4);
  const y = (t: number) => HEIGHT - 14 - (t - low) * PER_DEGREE;
  const ticks = $derived(Array.from({ length: 18 }, (_, i) => low + i * 0.5).filter((t) => y(t) > 8));
</script>

<svg width={WIDTH} height={HEIGHT} role="img" aria-label={label}>
  <rect x="18" y="1" width="44" height={HEIGHT - 2} rx="16" class="glass" />
  <rect x="36" y={y(tempC)} width="8" height={HEIGHT - y(tempC)} class="thread" />
  {#each ticks as t (t)}
    <path d="M62 {y(t)}h{Number.isInteger(t) ? 12 : 7}" class="tick" />
    {#if Number.isInteger(t)}<text x="80" y={y(t) + 5}>{t}</text>{/if}
  {/each}
</svg>

<style>
  .glass {
    fill: var(--air);
    stroke: var(--glass);
    stroke-width: 1.4;
  }
  .thread {
    fill: var(--alarm);
  }
  .tick {
    stroke: var(--ink);
  }
  text {
    font: 600 var(--text-sm) var(--face-text);
    font-variant-numeric: tabular-nums;
    fill: var(--ink);
  }
</style>
