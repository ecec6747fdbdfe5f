<!-- @component Marks of a run that are still to be made: early, at a time that has gone by, or passed over. -->
<script lang="ts">
  import { ulid } from 'ulid';
  import { formatDuration, formatTapeTime } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { MarkRecord, RunRecord } from '$lib/contract/records/run';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { readDuration } from '../fields/read';
  import { offerUndo, record } from '$lib/browser/actions';
  import { pressMark } from '$lib/browser/press.svelte';
  import { send } from '$lib/browser/outbox.svelte';
  import Sheet from '../station/Sheet.svelte';
  import { secondsAfter } from '$lib/workbench/marks';
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
  let time = $state('');
  const markForm = commandForm({
    id: 'earlier-mark',
    texts: () => ({ time }),
    read: (texts) => {
      const read = readDuration(texts.time);
      if (!timing || read.value === undefined) return { errors: { time: read.error } };
      const at = Math.round(run.setDownAt + read.value * 1000);
      if (at > now) return { errors: { time: t.paper.future } };
      return { errors: {}, payload: { layer: timing, at } };
    },
    keep: async ({ layer, at }) => {
      const payload = { testId: jar.id, runId: run.id, markId: ulid(), layer };
      const sent = await send('jar.mark', payload, at);
      timing = undefined;
      time = '';
      offerUndo(sent, t.done['jar.mark'](jar.code, t.layer[layer], formatTapeTime(secondsAfter(run, at))));
    }
  });
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

<Sheet
  bind:open={() => timing !== undefined, (is) => is || (timing = undefined)}
  title={timing ? t.correct.earlier(t.layer[timing]) : ''}
>
  <form id={markForm.id} use:markForm.enhance method="POST" novalidate>
    <Field
      label={t.correct.time}
      hint={t.correct.timeHint}
      error={markForm.errors.time ?? markForm.errors['']}
    >
      {#snippet children(entry)}
        <input {...entry} class="input" bind:value={time} placeholder="2 h 5" />
      {/snippet}
    </Field>
  </form>
  {#snippet actions()}<button form={markForm.id} class="btn btn-primary">{t.correct.keepMark}</button
    >{/snippet}
</Sheet>

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
