<!-- @component Is it settled: when silt is done and when the top stands still, what is still up, and readings of the top with their curve. -->
<script lang="ts">
  import { columnFacts, formatDuration, settledYet, TOP_SIGMA_MM, TOPS_NEEDED, type fitTop } from '$lib/core';
  import { toTops } from '$lib/contract/reading';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { RunRecord } from '$lib/contract/records/run';
  import type { Format } from '$lib/words/format';
  import { settledTexts } from '$lib/words/settled';
  import { t } from '$lib/words';
  import { topCurve } from './top-curve';

  type Props = { jar: JarRecord; run: RunRecord; format: Format; now: number };
  let { jar, run, format, now }: Props = $props();

  /** The answer moves by the minute, not by the second. */
  const minute = $derived(Math.floor(now / 60_000) * 60_000);
  const tops = $derived(toTops(run));
  let fit = $state.raw<typeof fitTop>();
  const enough = $derived(tops.length >= TOPS_NEEDED);
  $effect(() => {
    if (enough) void import('./fit').then((m) => (fit = m.fitTop));
  });
  const answer = $derived(
    enough && !fit
      ? undefined
      : settledYet({
          jar: columnFacts(jar),
          tops,
          nowS: Math.max(1, (minute - run.setDownAt) / 1000),
          sigmaMm: TOP_SIGMA_MM,
          clarity: run.tops.at(-1)?.water ?? 'unseen',
          fit: fit ?? (() => undefined)
        })
  );
  /** The method asks for the silt line before the last silt is down: said, or the two times would seem to differ. */
  const markBefore = $derived.by(() => {
    const mark = jar.method.marks.find((one) => one.layer === 'silt');
    const before = mark && answer && mark.atS < answer.siltDoneS;
    return before ? t.settled.siltMark(formatDuration(mark.atS)) : '';
  });
  const said = $derived(answer && settledTexts(answer, { setDownAt: run.setDownAt, now, format }));

  const WIDTH = 340;
  const HEIGHT = 110;
  const curve = $derived(topCurve(tops, answer?.top, { width: WIDTH, height: HEIGHT }));
</script>

<section aria-label={t.settled.title}>
  <h2>{t.settled.title}</h2>
  {#if answer && said}
    <p class="max-w-reading my-2">
      <b>{said.silt}</b>
      <span class="faded">{t.settled.siltWhy} {markBefore}</span>
    </p>
    <p class="max-w-reading my-2">
      <b>{said.top}</b>
      {t.settled.stillUp(Math.round(answer.stillUpPct.low), Math.round(answer.stillUpPct.high))}
      <span class="faded">{t.settled.early}</span>
    </p>
  {/if}
  {#await import('./TopForm.svelte') then { default: TopForm }}
    <TopForm {jar} {run} {format} />
  {/await}
  {#if run.tops.length > 0}
    <div class="flex flex-wrap gap-y-3 gap-x-7 items-start">
      {#if curve}
        <svg viewBox="0 0 {WIDTH} {HEIGHT}" role="img" aria-label={t.settled.curve(run.tops.length)}>
          <path d="M6 2V{HEIGHT - 4}H{WIDTH}" class="axis" />
          <path d={curve.path} class="fit" />
          {#each curve.points as p, i (i)}<circle cx={p.x} cy={p.y} r="4" />{/each}
        </svg>
      {/if}
      <ol class="plain-list" aria-label={t.settled.list}>
        {#each run.tops as top (top.id)}
          <li class="flex gap-4 py-1 px-0">
            <span class="faded">{format.when(top.at, now)}</span>
            <b>{format.length(top.heightMm, 1)}</b>
            <span class="faded"
              >{[top.water && t.mass.waters[top.water], top.pending && t.jar.pending]
                .filter(Boolean)
                .join(' · ')}</span
            >
          </li>
        {/each}
      </ol>
    </div>
  {/if}
</section>

<style>
  svg {
    width: 340px;
    max-width: 100%;
    height: auto;
  }
  .axis {
    fill: none;
    stroke: var(--rule);
  }
  .fit {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.6;
    stroke-dasharray: 4 4;
  }
  circle {
    fill: var(--ink);
  }
</style>
