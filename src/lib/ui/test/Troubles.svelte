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
        <li>
          <h3>{t.trouble.name[trouble.id]}</h3>
          <p>{why(trouble)}</p>
          <p><b>{t.trouble.now}</b> {t.trouble.todo[trouble.id]}</p>
          <p class="faded">{t.trouble.effect[trouble.id]}</p>
        </li>
      {/each}
    </ul>
  </section>
{/if}

<style>
  li {
    border-left: var(--line-heavy) solid var(--alarm);
    padding: var(--spacing-1) 0 var(--spacing-1) var(--spacing-4);
    margin-top: var(--spacing-4);
    max-width: 46rem;
  }
  h3 {
    color: var(--alarm);
  }
  p {
    margin: var(--spacing-1) 0;
  }
</style>
