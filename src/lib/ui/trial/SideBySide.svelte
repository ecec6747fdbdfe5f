<!--
  @component Sets of blocks side by side: what each holds dry and after the soak, every block a stroke on one scale, and how
  surely the best is better than the next.
-->
<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { page } from '$app/state';
  import { aboutMean, isOpen, strongerBy, type Strengths } from '$lib/core';
  import { bestFirst, type TrialView } from '$lib/workbench/trials';
  import { t } from '$lib/words';
  import { chanceText } from '$lib/words/headline';
  import { mixLine, saysShort } from '$lib/words/trial';

  type Props = { views: readonly TrialView[] };
  let { views }: Props = $props();

  const order = $derived(bestFirst(views));
  const asked = $derived(page.data.usual.blockWetMpa);
  const all = $derived(
    order.flatMap(({ pieces }) => pieces.flatMap(({ tells }) => tells?.strengthMpa ?? []))
  );
  const reach = (s: Strengths | undefined) => (s ? aboutMean(s).to : 0);
  const x = $derived(
    scaleLinear()
      .domain([
        0,
        Math.max(asked * 1.5, ...all, ...order.flatMap(({ tells }) => [tells.dry, tells.wet].map(reach)))
      ])
      .nice()
      .range([0, 100])
  );
  const verdict = $derived.by(() => {
    const [best, next] = order;
    const by = best && next && strongerBy(best.tells, next.tells);
    if (!by) return undefined;
    const words = isOpen(by.chance) ? t.trial.alike : t.trial.stronger;
    return words(best.trial.code, next.trial.code, by.on, chanceText(by.chance));
  });
</script>

{#if order.length === 0}
  <p class="text-lg">{t.trial.nothingBeside}</p>
{:else}
  {#if verdict}
    <p class="font-head text-2xl font-[650] leading-[1.2] max-w-[46rem]" data-testid="beside-verdict">
      {verdict}
    </p>
  {/if}
  <div role="table" aria-label={t.trial.beside}>
    <div role="row" class="row head faded small">
      <span role="columnheader">{t.trial.columns.set}</span>
      <span role="columnheader">{t.trial.columns.strengths}</span>
      <span role="columnheader">{t.trial.columns.says}</span>
    </div>
    {#each order as { trial, tells, pieces } (trial.id)}
      <div role="row" class="row border-t border-hair">
        <span role="rowheader">
          <a class="link font-head font-bold text-lg" href="/trials/{trial.id}">{trial.code}</a>
          <span class="block">{trial.sampleName}</span>
          <span class="faded small block">{mixLine(trial)}</span>
        </span>
        <span role="cell">
          {#each [['dry', tells.dry], ['wet', tells.wet]] as const as [state, strengths] (state)}
            {#if strengths}
              {@const about = aboutMean(strengths)}
              <span class="line">
                <span class="small">{t.trial.strength[state]}</span>
                <svg viewBox="0 0 100 20" preserveAspectRatio="none" aria-hidden="true">
                  <path d="M0 14H100" class="axis" />
                  <path d="M{x(asked)} 0V20" class="asked" />
                  <rect
                    x={x(about.from)}
                    y="5"
                    width={x(about.to) - x(about.from)}
                    height="9"
                    class="about"
                    class:wet={state === 'wet'}
                  />
                  {#each pieces.filter((p) => p.soaked === (state === 'wet')) as { no, tells: one } (no)}
                    {#if one?.strengthMpa !== undefined}<path
                        d="M{x(one.strengthMpa)} 2V17"
                        class="stroke"
                      />{/if}
                  {/each}
                </svg>
                <strong class="num">{strengths.mean.toFixed(1)}</strong>
              </span>
            {/if}
          {/each}
        </span>
        <span role="cell">{saysShort(tells)}</span>
      </div>
    {/each}
    <p class="faded small mt-2">{t.trial.scale(x.domain()[1].toFixed(0), asked.toFixed(1))}</p>
  </div>
{/if}

<style>
  .row {
    display: grid;
    grid-template-columns: 13rem minmax(0, 1fr) 15rem;
    gap: 0 var(--spacing-6);
    align-items: center;
    padding: var(--spacing-3) 0;
  }
  .head {
    padding: 0;
  }
  .line {
    display: grid;
    grid-template-columns: 6.5rem minmax(0, 1fr) 3rem;
    gap: var(--spacing-3);
    align-items: center;
  }
  svg {
    width: 100%;
    height: 26px;
    overflow: visible;
  }
  .axis {
    stroke: var(--rule);
    vector-effect: non-scaling-stroke;
  }
  .asked {
    stroke: var(--pen);
    stroke-width: 2;
    stroke-dasharray: 4 3;
    vector-effect: non-scaling-stroke;
  }
  .about {
    fill: var(--sand);
  }
  .about.wet {
    fill: var(--clear);
    stroke: var(--glass);
    vector-effect: non-scaling-stroke;
  }
  .stroke {
    stroke: var(--ink);
    stroke-width: 2.5;
    vector-effect: non-scaling-stroke;
  }
  @media screen and (max-width: 900px) {
    .head {
      display: none;
    }
    .row {
      grid-template-columns: minmax(0, 1fr);
      gap: var(--spacing-2);
    }
  }
</style>
