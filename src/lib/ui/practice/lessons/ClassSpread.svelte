<!-- @component How one jar was read by a class: a dot a reading, a row a line, over one scale; the mean, the spread, the true height where it is known. -->
<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { page } from '$app/state';
  import { spreadOf, TOP_LINES, type JarTops } from '$lib/core';
  import { formatFor } from '$lib/words/format';
  import { t } from '$lib/words';
  import Axis from '$lib/ui/kit/Axis.svelte';

  type Props = {
    code: string | null;
    readings: readonly { name: string; tops: JarTops }[];
    truth?: JarTops;
  };
  let { code, readings, truth }: Props = $props();
  const w = t.lessons.spread;
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const WIDTH = 620;
  const ROW = 58;
  const LEFT = 64;
  const LAYER = { sandMm: 'sand', siltMm: 'silt', clayMm: 'clay' } as const;
  const spread = $derived(spreadOf(readings.map((one) => one.tops)));
  const x = $derived.by(() => {
    const all = [
      ...readings.flatMap(({ tops }) => TOP_LINES.map((line) => tops[line])),
      ...(truth ? TOP_LINES.map((line) => truth[line]) : [])
    ];
    return scaleLinear([Math.min(...all) - 2, Math.max(...all) + 2], [LEFT, WIDTH - 12]);
  });
  const high = 3 * ROW + 30;
  /** Dots that would hide each other stand over one another. */
  const dots = $derived(
    spread.flatMap(({ line, readings: mms }, row) => {
      const taken: { x: number; level: number }[] = [];
      return mms.map((mm, i) => {
        const at = x(mm);
        let level = 0;
        while (taken.some((one) => one.level === level && Math.abs(one.x - at) < 9)) level++;
        taken.push({ x: at, level });
        return {
          key: `${line} ${i}`,
          line,
          name: readings[i].name,
          mm,
          x: at,
          y: (2 - row) * ROW + 40 - 9 * level
        };
      });
    })
  );
</script>

<section class="grid gap-2">
  <h3>{w.title(code)}</h3>
  {#if readings.length === 0}
    <p class="faded">{w.none}</p>
  {:else}
    <svg
      class="block w-full max-w-[620px] h-auto"
      viewBox="0 0 {WIDTH} {high}"
      role="img"
      aria-label={w.alt(readings.length)}
    >
      {#each spread as { line, meanMm, sdMm }, row (line)}
        {@const y = (2 - row) * ROW + 40}
        <path d="M{LEFT} {y + 7}H{WIDTH - 12}" class="base" />
        <text x="0" y={y + 5}>{t.layer[LAYER[line]]}</text>
        <rect
          x={x(meanMm - sdMm)}
          y={y - 12}
          width={Math.max(2, x(meanMm + sdMm) - x(meanMm - sdMm))}
          height="19"
          class="sd"
        />
        {#if truth}<path d="M{x(truth[line])} {y - 24}V{y + 7}" class="truth" />{/if}
      {/each}
      {#each dots as dot (dot.key)}
        <circle cx={dot.x} cy={dot.y} r="4.4" fill="var(--{LAYER[dot.line]})"
          ><title>{dot.name}: {dot.mm}</title></circle
        >
      {/each}
      <Axis
        side="bottom"
        line={high - 22}
        ticks={x.ticks(8).map((mm) => ({ at: x(mm), label: mm }))}
        away={18}
        unit="mm"
      />
    </svg>
    <ul class="plain-list">
      {#each spread as { line, meanMm, sdMm } (line)}
        <li class="tabular-nums">
          {w.line(t.layer[LAYER[line]], format.length(meanMm, 1), format.length(sdMm, 1))}{#if truth}
            , {w.truth} {format.length(truth[line], 1)}{/if}
        </li>
      {/each}
    </ul>
    <p class="faded small">{w.why}</p>
  {/if}
</section>

<style>
  .base {
    stroke: var(--hair);
  }
  .sd {
    fill: var(--pen-wash);
  }
  .truth {
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 4 3;
  }
  circle {
    stroke: var(--ink);
    stroke-width: 1;
  }
  text {
    font: 600 var(--text-sm) var(--face-text);
    fill: var(--ink);
  }
</style>
