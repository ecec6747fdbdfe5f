<!-- @component Asked once, on the first start, where the browser's region measures in inches. -->
<script lang="ts">
  import { onMount } from 'svelte';
  import { send } from '$lib/browser/outbox.svelte';
  import { problemText } from '$lib/browser/actions';
  import { sayProblem } from '$lib/browser/toasts';
  import { t } from '$lib/words';
  import { measuresInInches } from './region';

  let inches = $state(false);
  onMount(() => (inches = measuresInInches(navigator.languages)));

  async function choose(length: 'in' | 'mm') {
    const own =
      length === 'in' ? ({ length, temperature: 'F', volume: 'gal', clock: '12' } as const) : { length };
    try {
      await send('profile.set', own);
    } catch (problem) {
      sayProblem(problemText(problem));
    }
  }
</script>

{#if inches}
  <section class="no-print" aria-label={t.units.title}>
    <p>{t.units.ask}</p>
    <div class="row-of-actions">
      <button type="button" class="btn btn-secondary" onclick={() => choose('in')}>{t.units.inches}</button>
      <button type="button" class="btn btn-secondary" onclick={() => choose('mm')}>{t.units.mm}</button>
    </div>
  </section>
{/if}

<style>
  section {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: center;
    gap: var(--spacing-2) var(--spacing-6);
    padding: var(--spacing-3) 0;
    border-bottom: var(--line) solid var(--hair);
  }
</style>
