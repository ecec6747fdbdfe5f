<!-- @component What can be done to a set of trial pieces now: form, turn, wet, soak, finish. -->
<script lang="ts">
  import { record } from '$lib/browser/actions';
  import type { TrialView } from '$lib/workbench/trials';
  import { t } from '$lib/words';

  type Props = { view: TrialView };
  let { view }: Props = $props();

  const { trial, step } = $derived(view);
  const calls = $derived(step?.state !== 'waiting');
  const look = $derived(calls ? 'btn btn-primary' : 'btn btn-secondary');
  const care = $derived(step?.kind === 'turn' || step?.kind === 'damp' ? step.kind : undefined);
</script>

{#if step}
  <div class="flex flex-wrap gap-3 no-print">
    {#if step.kind === 'form'}
      <button
        type="button"
        class={look}
        onclick={() => record('trial.form', { trialId: trial.id }, t.trial.done.formed(trial.code))}
        >{t.trial.formed}</button
      >
    {:else if care}
      <button
        type="button"
        class={look}
        onclick={() =>
          record('trial.care', { trialId: trial.id, key: step.key }, t.trial.done[care](trial.code))}
        >{t.trial.did[care]}</button
      >
    {:else if step.kind === 'soak'}
      <button
        type="button"
        class={look}
        onclick={() => record('trial.soak', { trialId: trial.id }, t.trial.done.soak(trial.code))}
        >{t.trial.soakNow}</button
      >
    {:else if step.kind === 'finish'}
      <button
        type="button"
        class={look}
        onclick={() => record('trial.finish', { trialId: trial.id }, t.trial.done.finish(trial.code))}
        >{t.trial.finish}</button
      >
    {:else}
      <a class={look} href="/trials/{trial.id}#pieces">{t.trial.pieces}</a>
    {/if}
  </div>
{/if}
