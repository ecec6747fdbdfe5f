<!-- @component The six lines of what a bed does, hung on its column; each opens into how it is worked out. -->
<script lang="ts">
  import {
    bedOutlook,
    CRACKS_FROM,
    type Fractions,
    type GroundDrainage,
    type SoilDraws,
    formatRate
  } from '$lib/core';
  import { t } from '$lib/words';
  import { chanceText } from '$lib/words/headline';
  import Fold from '../kit/Fold.svelte';

  type Props = {
    soil: Fractions;
    organicPct: number;
    draws: SoilDraws;
    /** Its drainage holes, which rule over the texture. */
    ground?: GroundDrainage;
  };
  let { soil, organicPct, draws, ground }: Props = $props();

  const digits = (x: number) => (x < 10 ? 1 : 0);
  const lines = $derived(
    bedOutlook(soil, organicPct, draws, ground?.mmH).map(({ line, figure, band, chance }) => ({
      line,
      words: t.act.lines[line][band],
      figure: t.act.figures[line](line === 'drains' ? formatRate(figure) : figure.toFixed(digits(figure))),
      chance
    }))
  );
</script>

<ul class="plain-list hung">
  {#each lines as { line, words, figure, chance } (line)}
    <li>
      <p class="text-lg leading-[1.25] print:text-xs print:leading-tight">
        <strong class="font-head">{words}</strong>
        <span class="hidden print:inline">{figure}</span>
        <span class="faded small ml-2">{t.act.ofDraws(chanceText(chance))}</span>
      </p>
      <Fold label={figure}>
        <p class="small max-w-[34rem]">
          {line === 'drains' && ground ? t.act.byHoles(ground.holes) : t.act.how[line]}
          {#if line === 'digs' && soil.clay > CRACKS_FROM}{t.act.cracks}{/if}
        </p>
      </Fold>
    </li>
  {/each}
</ul>

<style>
  .hung li {
    position: relative;
    padding: 0 0 var(--spacing-2) var(--spacing-6);
  }
  .hung li::before {
    content: '';
    position: absolute;
    left: -3.6rem;
    top: 0.8rem;
    width: 4.1rem;
    border-top: var(--line) solid var(--rule);
  }
  .hung li::after {
    content: '';
    position: absolute;
    left: 0.4rem;
    top: calc(0.8rem - 3px);
    width: 7px;
    height: 7px;
    border-radius: 50%;
    background: var(--rule);
  }
</style>
