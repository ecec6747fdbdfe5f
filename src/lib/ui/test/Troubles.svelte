<!-- @component What likely went wrong with a jar: each trouble by name, why in terms of this jar, what to do now, and what it does to the result. -->
<script lang="ts">
  import { findTroubles, type Trouble, type TroubleFacts } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';

  type Props = { facts: TroubleFacts | undefined; format: Format };
  let { facts, format }: Props = $props();

  const troubles = $derived(facts ? findTroubles(facts) : []);
  const pct = (n: number) => t.common.percent(Math.round(n));

  function why(trouble: Trouble): string {
    const w = t.trouble.why;
    switch (trouble.id) {
      case 'too-full':
        return w['too-full'](pct(trouble.sharePct), pct(trouble.speedPct));
      case 'too-thin':
        return w['too-thin'](format.length(trouble.totalMm, 1), trouble.pointsPerHalfMm.toFixed(1));
      case 'stones':
        return w.stones(pct(trouble.gravelPct));
      case 'no-dispersant':
        return w['no-dispersant'](format.dose(trouble.askedMlPerL));
      case 'over-shoulder':
        return w['over-shoulder'](format.length(trouble.topMm), format.length(trouble.shoulderMm));
      case 'cloudy-long':
        return w['cloudy-long'](Math.floor(trouble.days));
      case 'cleared-soon':
        return w['cleared-soon'](Math.round(trouble.hours), pct(trouble.expectedUpPct));
      case 'read-early':
        return w['read-early'](Math.round(trouble.minutes), pct(trouble.stillUpPct));
      case 'marks-fall':
        return w['marks-fall'](t.layer[trouble.lower], format.length(trouble.byMm, 1));
      case 'two-layers':
        return w['two-layers'](t.layer[trouble.missing]);
      case 'crumbs':
        return w.crumbs(format.length(trouble.wasMm, 1), format.length(trouble.isMm, 1));
      case 'dark-skin':
        return w['dark-skin'](format.length(trouble.skinMm, 1), trouble.asClayPoints.toFixed(1));
      default:
        return w[trouble.id];
    }
  }
</script>

{#if troubles.length > 0}
  <section aria-label={t.trouble.title}>
    <h2>{t.trouble.title}</h2>
    <ul class="plain-list">
      {#each troubles as trouble (trouble.id)}
        <li class="border-l-3 border-alarm py-1 pr-0 pl-4 mt-4 max-w-reading">
          <h3 class="text-alarm">{t.trouble.name[trouble.id]}</h3>
          <p class="my-1">{why(trouble)}</p>
          <p class="my-1"><b>{t.trouble.now}</b> {t.trouble.todo[trouble.id]}</p>
          <p class="faded my-1">{t.trouble.effect[trouble.id]}</p>
        </li>
      {/each}
    </ul>
  </section>
{/if}
