<!--
  @component Methods laid side by side on one strip of sizes, coarse at the left as time runs: each mark as tape where it
  cuts, instruments as pins, bands read at the end as a span.
-->
<script lang="ts">
  import { scaleLog } from 'd3-scale';
  import { formatDuration, type RunMethod, type StripCut } from '$lib/core';
  import { cutText } from '$lib/words/steps';
  import { t } from '$lib/words';

  type Row = { method: RunMethod; cuts: StripCut[] };
  type Props = {
    rows: Row[];
    /** Where the size limits fall due in this jar, s, by size in um. */
    limits: { um: number; atS: number }[];
    /** Names lead to the method's page. */
    linked?: boolean;
  };
  let { rows, limits, linked = true }: Props = $props();

  const COARSEST = 200;
  const FINEST = 0.5;
  const x = scaleLog().domain([COARSEST, FINEST]).range([0, 100]).clamp(true);
  /** The strip of soil over the rows: sand, silt, clay by the USDA limits. */
  const soil = [
    { layer: 'sand', from: COARSEST, to: 50 },
    { layer: 'silt', from: 50, to: 2 },
    { layer: 'clay', from: 2, to: FINEST }
  ] as const;
  /** 60 and 63 stand too near each other for two numbers. */
  const heads = $derived(
    limits.map(({ um, atS }) => ({ um, atS, label: um === 60 ? '' : um === 63 ? '60 · 63' : String(um) }))
  );
  const few = (cuts: StripCut[]) => cuts.length <= 4;
  const say = (cut: StripCut) =>
    t.plan.cutAt(t.plan.how[cut.how], formatDuration(cut.atS), cutText(cut.cutUm));
</script>

<div class="strip">
  <div class="grid grid-cols-[13rem_minmax(0,1fr)] items-center max-md:grid-cols-1" aria-hidden="true">
    <span class="unit faded small">{t.plan.sizes}</span>
    <div class="relative mr-9 h-[62px]">
      <svg class="soil" width="100%" height="22">
        {#each soil as part (part.layer)}
          <rect
            x="{x(part.from)}%"
            width="{x(part.to) - x(part.from)}%"
            height="22"
            fill="url(#grain-{part.layer})"
          />
        {/each}
      </svg>
      {#each soil as part (part.layer)}
        <span class="layer" style:left="{(x(part.from) + x(part.to)) / 2}%">{t.layer[part.layer]}</span>
      {/each}
      {#each heads as limit (limit.um)}
        <span class="limit" class:before={limit.um > 50} style:left="{x(limit.um)}%">{limit.label}</span>
      {/each}
    </div>
  </div>
  <ul class="plain-list">
    {#each rows as { method, cuts } (method.key)}
      <li
        class="grid grid-cols-[13rem_minmax(0,1fr)] items-center min-h-[40px] border-b border-hair max-md:grid-cols-1 max-md:pb-2"
      >
        {#if linked}<a
            class="link ink font-semibold justify-self-start py-3 px-0"
            href="/plan/methods/{method.key}">{method.name}</a
          >{:else}<span class="font-semibold justify-self-start py-3 px-0">{method.name}</span>{/if}
        <div class="relative h-[40px] mr-9">
          {#each limits as limit (limit.um)}<i class="rule" style:left="{x(limit.um)}%"></i>{/each}
          {#each cuts as cut (cut.atS)}
            {#if cut.untilCutUm !== undefined}
              <i
                class="span absolute top-[28px] h-[5px] bg-tape-edge"
                class:end={cut.how === 'end'}
                style:left="{x(cut.cutUm)}%"
                style:width="{Math.max(0.4, x(cut.untilCutUm) - x(cut.cutUm))}%"
              ></i>
            {/if}
            <span class="cut at-{cut.how}" style:left="{x(cut.cutUm)}%" title={say(cut)}>
              <span class="sr-only">{say(cut)}. </span>
              {#if few(cuts)}<b aria-hidden="true">{formatDuration(cut.atS)}</b>{/if}
            </span>
          {/each}
        </div>
      </li>
    {/each}
  </ul>
</div>

<style>
  .soil {
    position: absolute;
    left: 0;
    bottom: 0;
    border: var(--line) solid var(--ink);
    overflow: visible;
  }
  .layer {
    position: absolute;
    bottom: 1px;
    transform: translateX(-50%);
    padding: 0 var(--spacing-3);
    font-weight: 700;
    font-size: var(--text-sm);
    background: var(--label);
    color: var(--tape-ink);
    line-height: 1.2;
  }
  .limit {
    position: absolute;
    top: 8px;
    transform: translateX(-50%);
    font-weight: 700;
    white-space: nowrap;
  }
  .limit.before {
    transform: translateX(-82%);
  }
  .rule {
    position: absolute;
    top: 0;
    bottom: 0;
    border-left: var(--line-strong) dotted var(--rule);
  }
  .cut {
    position: absolute;
    top: 7px;
    bottom: 7px;
    border-left: var(--line-heavy) solid var(--ink);
  }
  .cut b {
    display: block;
    height: 100%;
    padding: 0 var(--spacing-3) 0 var(--spacing-2);
    font: 650 var(--text-sm)/26px var(--face-text);
    white-space: nowrap;
    background: var(--tape);
    color: var(--tape-ink);
    clip-path: polygon(0 0, 100% 0, calc(100% - 5px) 50%, 100% 100%, 0 100%);
  }
  .cut.at-reading {
    border-left-width: var(--line-strong);
  }
  .cut.at-reading::before {
    content: '';
    position: absolute;
    left: -6px;
    top: -5px;
    width: 10px;
    height: 10px;
    border-radius: 50%;
    background: var(--ink);
  }
  .cut.at-reading b {
    background: none;
    color: var(--ink);
  }
  .cut.at-end {
    border-left-style: dashed;
    border-left-width: var(--line-strong);
  }
  .cut.at-end b {
    background: none;
    color: var(--ink);
  }
  .span.end {
    background: repeating-linear-gradient(90deg, var(--rule) 0 5px, transparent 5px 9px);
  }
  @media (max-width: 900px) {
    .unit {
      order: 2;
    }
    .limit.before {
      transform: translateX(-100%);
    }
  }
</style>
