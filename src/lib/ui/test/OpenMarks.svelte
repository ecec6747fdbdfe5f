<!-- @component Marks of a run that are still to be made: early, at a time that has gone by, or passed over. -->
<script lang="ts">
  import { formatDuration } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { MarkRecord, RunRecord } from '$lib/contract/records/run';
  import { record } from '$lib/browser/actions';
  import { pressMark } from '$lib/browser/press.svelte';
  import { t } from '$lib/words';

  type Props = { jar: JarRecord; run: RunRecord; now: number };
  let { jar, run, now }: Props = $props();

  type Layer = MarkRecord['layer'];
  const open = $derived(
    jar.method.marks
      .filter((plan) => !run.marks.some((m) => m.layer === plan.layer))
      .map((plan) => ({
        plan,
        passed: run.passed.includes(plan.layer),
        gone: now > run.setDownAt + plan.atS * 1000
      }))
  );

  let timing = $state<Layer | undefined>();
  const pass = (layer: Layer, passed: boolean) =>
    record(
      'mark.pass',
      { testId: jar.id, runId: run.id, layer, passed },
      (passed ? t.mark.passed : t.mark.unpassed)(jar.code, t.layer[layer])
    );
</script>

{#if open.length > 0}
  <ul class="plain-list no-print">
    {#each open as { plan, passed, gone } (plan.layer)}
      <li>
        <span class:faded={passed}>
          <strong>{t.Layer[plan.layer]}</strong>
          {passed ? t.correct.passed : t.correct.askedAt(formatDuration(plan.atS))}
        </span>
        <span class="flex flex-wrap gap-y-0 gap-x-5">
          {#if passed}
            <button type="button" class="link min-h-touch" onclick={() => pass(plan.layer, false)}
              >{t.correct.unpass}</button
            >
          {:else if gone}
            <button type="button" class="link min-h-touch" onclick={() => (timing = plan.layer)}
              >{t.correct.earlier(t.layer[plan.layer])}</button
            >
            <button type="button" class="link min-h-touch" onclick={() => pass(plan.layer, true)}
              >{t.correct.pass(t.layer[plan.layer])}</button
            >
          {:else}
            <button type="button" class="link min-h-touch" onclick={() => pressMark(jar, plan.layer)}
              >{t.correct.early(t.layer[plan.layer])}</button
            >
          {/if}
        </span>
      </li>
    {/each}
  </ul>
{/if}

{#if timing}
  {#await import('./EarlierMark.svelte') then { default: EarlierMark }}
    {#if timing}
      <EarlierMark {jar} {run} {now} layer={timing} onclose={() => (timing = undefined)} />
    {/if}
  {/await}
{/if}

<style>
  li {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: var(--spacing-1) var(--spacing-6);
    align-items: center;
    padding: var(--spacing-2) 0;
    border-bottom: var(--line) solid var(--hair);
  }
</style>
