<!-- @component Is it settled: when silt is done and when the top stands still, what is still up, and readings of the top with their curve. -->
<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { fitTop, settledYet, columnFacts, TOP_SIGMA_MM } from '$lib/core';
  import { toTops } from '$lib/contract/reading';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { RunRecord } from '$lib/contract/records/run';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';

  type Props = { jar: JarRecord; run: RunRecord; format: Format; now: number };
  let { jar, run, format, now }: Props = $props();

  /** The answer moves by the minute, not by the second. */
  const minute = $derived(Math.floor(now / 60_000) * 60_000);
  const tops = $derived(toTops(run));
  const answer = $derived(
    settledYet({
      jar: columnFacts(jar),
      tops,
      nowS: Math.max(1, (minute - run.setDownAt) / 1000),
      sigmaMm: TOP_SIGMA_MM,
      clarity: run.tops.at(-1)?.water ?? 'unseen'
    })
  );
  const at = (seconds: number) => format.when(run.setDownAt + seconds * 1000, now);
  const siltDone = $derived(run.setDownAt + answer.siltDoneS * 1000 <= now);

  const WIDTH = 340;
  const HEIGHT = 110;
  const curve = $derived.by(() => {
    if (tops.length < 2) return undefined;
    // A curve that the answer does not trust is not drawn.
    const trusted = answer.top.kind === 'moving' || answer.top.kind === 'still';
    const fit = trusted ? fitTop(tops) : undefined;
    const last = Math.max(tops.at(-1)!.timeS, answer.top.kind === 'moving' ? answer.top.stillAtS : 0);
    const heights = [...tops.map((r) => r.heightMm), ...(fit ? [fit.endMm] : [])];
    const [low, high] = [Math.min(...heights), Math.max(...heights)];
    const x = scaleLinear()
      .domain([0, last])
      .range([6, WIDTH - 6]);
    const y = scaleLinear()
      .domain([low - 1, high + 1])
      .range([HEIGHT - 6, 6]);
    const points = tops.map((r) => ({ x: x(r.timeS), y: y(r.heightMm) }));
    if (!fit) return { points, path: '' };
    const line = Array.from({ length: 41 }, (_, i) => {
      const timeS = tops[0].timeS + ((last - tops[0].timeS) * i) / 40;
      return `${x(timeS).toFixed(1)} ${y(fit.endMm + fit.leftMm * Math.exp(-timeS / fit.constantS)).toFixed(1)}`;
    });
    return { points, path: `M${line.join('L')}` };
  });
</script>

<section aria-label={t.settled.title}>
  <h2>{t.settled.title}</h2>
  <p class="max-w-reading my-2">
    <b>{t.settled.silt(at(answer.siltDoneS), siltDone)}</b>
    <span class="faded">{t.settled.siltWhy}</span>
  </p>
  <p class="max-w-reading my-2">
    <b>
      {#if answer.top.kind === 'few'}{t.settled.few(answer.top.missing)}
      {:else if answer.top.kind === 'unsure'}{t.settled.unsure}
      {:else if answer.top.kind === 'still' && !siltDone}{t.settled.hardly(at(answer.siltDoneS))}
      {:else if answer.top.kind === 'still'}{t.settled.still(format.length(answer.top.leftMm, 1))}
      {:else}{t.settled.moving(at(answer.readableAtS!), format.length(answer.top.leftMm, 1))}{/if}
    </b>
    {t.settled.stillUp(Math.round(answer.stillUpPct.low), Math.round(answer.stillUpPct.high))}
    <span class="faded">{t.settled.early}</span>
  </p>
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
