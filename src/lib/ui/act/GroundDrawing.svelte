<!--
  @component The ground of a bed, to scale: the depth of its roots, the water that they can use in it, the dose as the upper
  part of that, and over it the days of two weeks with those on which it is watered.
-->
<script lang="ts">
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';

  type Props = { rootsMm: number; storeMm: number; doseMm: number; intervalDays: number; format: Format };
  let { rootsMm, storeMm, doseMm, intervalDays, format }: Props = $props();

  const [WIDTH, LEFT, RIGHT, SURFACE, DEEP] = [600, 84, 478, 86, 250];
  const DAYS = 14;
  const depth = DEEP - SURFACE;
  /** Water lies at the foot of the roots, as if it were squeezed out of the ground, to the same scale. */
  const y = (mmUp: number) => DEEP - (mmUp / rootsMm) * depth;
  const day = (d: number) => LEFT + ((d + 0.5) / DAYS) * (RIGHT - LEFT);
  const drops = $derived(
    Array.from({ length: Math.floor((DAYS - 0.001) / intervalDays) + 1 }, (_, i) => i * intervalDays).slice(
      0,
      60
    )
  );
  const plants = [0.06, 0.2, 0.34, 0.5, 0.66, 0.8, 0.94].map((share) => LEFT + share * (RIGHT - LEFT));
</script>

<svg
  viewBox="0 0 {WIDTH} 276"
  class="block w-full max-w-[640px] overflow-visible"
  role="img"
  aria-label={t.act.water.drawing(format.length(rootsMm), storeMm.toFixed(0), doseMm.toFixed(0))}
>
  <text x={LEFT} y="14" class="small">{t.act.water.days}</text>
  {#each Array.from({ length: DAYS }, (_, d) => d) as d (d)}
    <path d="M{day(d)} 24v6" class="tick" />
  {/each}
  {#each drops as d (d)}
    <path d="M{day(d)} 22c6 9 8 12 8 16a8 8 0 0 1-16 0c0-4 2-7 8-16z" class="drop" />
  {/each}
  <rect x={LEFT} y={SURFACE} width={RIGHT - LEFT} height={depth} fill="url(#grain-dry)" />
  <rect x={LEFT} y={y(storeMm)} width={RIGHT - LEFT} height={y(0) - y(storeMm)} class="store" />
  <rect x={LEFT} y={y(storeMm)} width={RIGHT - LEFT} height={y(storeMm - doseMm) - y(storeMm)} class="dose" />
  <path d="M{LEFT - 10} {SURFACE}H{RIGHT + 10}" class="ground" />
  {#each plants as x (x)}
    <path
      d="M{x} {SURFACE}q-2 -12 -9 -16M{x} {SURFACE}q1 -14 1 -24M{x} {SURFACE}q3 -11 10 -14"
      class="leaf"
    />
    <path
      d="M{x} {SURFACE}v{depth * 0.72}m0 {-depth * 0.5}l-13 {depth * 0.24}m13 {-depth * 0.3}l14 {depth *
        0.28}"
      class="root"
    />
  {/each}
  <path d="M{LEFT - 16} {SURFACE}v{depth}m-5 0h10m-10 {-depth}h10" class="tick" />
  <text x={LEFT - 24} y={(SURFACE + DEEP) / 2 - 4} text-anchor="end" class="small">{t.act.water.root}</text>
  <text x={LEFT - 24} y={(SURFACE + DEEP) / 2 + 12} text-anchor="end" class="small"
    >{format.length(rootsMm)}</text
  >
  <text x={RIGHT + 14} y={y(storeMm) + 4} class="small strong"
    >{t.act.water.doseShort(doseMm.toFixed(0))}</text
  >
  <text x={RIGHT + 14} y={DEEP + 4} class="small">{t.act.water.storeShort(storeMm.toFixed(0))}</text>
</svg>

<style>
  .small {
    fill: var(--ink);
    font: 500 var(--text-xs) var(--face-text);
  }
  @media (max-width: 640px) {
    .small {
      font-size: var(--text-xl);
    }
  }
  .strong {
    font-weight: 700;
  }
  .tick,
  .ground {
    stroke: var(--ink);
    stroke-width: 1.3;
    fill: none;
  }
  .ground {
    stroke-width: 2.4;
  }
  .drop,
  .store {
    fill: var(--clear);
    stroke: var(--glass);
    stroke-width: 1.2;
  }
  .store {
    fill-opacity: 0.75;
  }
  .dose {
    fill: var(--glass);
    fill-opacity: 0.45;
  }
  .leaf,
  .root {
    stroke: var(--glass);
    stroke-width: 2;
    fill: none;
    stroke-linecap: round;
  }
  .root {
    stroke: var(--label);
    stroke-width: 1.3;
  }
</style>
