<!-- @component Notices at the foot of the page: toasts with undo, what waits to be sent, what was refused. -->
<script lang="ts">
  import { onMount } from 'svelte';
  import { Toast } from '@skeletonlabs/skeleton-svelte';
  import { alerts } from '$lib/browser/alerts.svelte';
  import { page } from '$app/state';
  import type { HoleRecord } from '$lib/contract/records/hole';
  import type { TrialRecord } from '$lib/contract/records/trial';
  import type { JarRecord } from '$lib/contract/records/jar';
  import { formatFor } from '$lib/words/format';
  import { dismissRefusal, outbox, type Refusal } from '$lib/browser/outbox.svelte';
  import { toaster } from '$lib/browser/toasts';
  import { t } from '$lib/words';

  /** What was refused: the jar, the act, the layer, and its true time. */
  function whatOf({ command }: Refusal): string {
    const { testId, holeId, trialId, layer } = command.payload as {
      testId?: string;
      holeId?: string;
      trialId?: string;
      layer?: keyof typeof t.layer;
    };
    const jar = (page.data.jars as JarRecord[]).find((j) => j.id === testId);
    const hole = (page.data.holes as HoleRecord[]).find((h) => h.id === holeId);
    const made = (page.data.trials as TrialRecord[]).find((one) => one.id === trialId);
    const act = [t.test.events[command.name], layer && t.layer[layer]].filter(Boolean).join(' ');
    const time = formatFor(page.data.profile, page.data.zone).toTheSecond(command.at);
    return [jar?.code ?? hole?.code ?? made?.code, act, time].filter(Boolean).join(' · ');
  }

  /** Nothing is said before the page is awake. */
  let awake = $state(false);
  onMount(() => (awake = true));
</script>

<div class="foot no-print fixed left-0 right-0 bottom-0 z-15 pointer-events-none">
  {#if alerts.soundAsleep}<p class="note" role="status">{t.outbox.soundAsleep}</p>{/if}
  {#if outbox.unreadable > 0}
    <p class="note" role="status">{t.outbox.unreadable(outbox.unreadable)}</p>
  {/if}
  {#if outbox.unkept}<p class="note" role="status">{t.outbox.unkept}</p>{/if}
  {#if outbox.waiting.length > 0 && !outbox.reachable}
    <p class="note" role="status">
      <strong>{t.outbox.waiting(outbox.waiting.length)}.</strong>
      {t.outbox.why}
    </p>
  {/if}
  {#each outbox.refusals as refusal (refusal.command.commandId)}
    <p class="note refused" role="alert">
      {t.outbox.refused(whatOf(refusal), refusal.message)}
      <button type="button" class="link" onclick={() => dismissRefusal(refusal)}>{t.common.close}</button>
    </p>
  {/each}
</div>

{#if awake}<Toast.Group {toaster} class="no-print">
    {#snippet children(toast)}
      <Toast {toast} class="note-line {toast.type === 'error' ? 'note-wrong' : ''}">
        <Toast.Message><Toast.Title>{toast.title}</Toast.Title></Toast.Message>
        {#if toast.action}
          <Toast.ActionTrigger class="note-undo">{toast.action.label}</Toast.ActionTrigger>
        {/if}
      </Toast>
    {/snippet}
  </Toast.Group>{/if}

<style>
  /* Over the thumb's one large action, never on it. */
  @media (max-width: 640px) {
    .foot {
      bottom: calc(84px + var(--foot));
    }
  }
  .note {
    margin: 0;
    padding: var(--spacing-3) var(--spacing-5);
    background: var(--tape);
    color: var(--tape-ink);
    border-top: var(--line) solid var(--tape-edge);
    text-align: center;
  }
  .refused {
    pointer-events: auto;
    background: var(--alarm);
    color: var(--paper);
  }
  .refused button {
    color: inherit;
  }
  :global(.note-line) {
    display: flex;
    align-items: center;
    gap: var(--spacing-5);
    min-height: 48px;
    padding: var(--spacing-2) var(--spacing-2) var(--spacing-2) var(--spacing-5);
    background: var(--ink);
    color: var(--paper);
    border-radius: var(--radius-base);
    max-width: calc(100vw - 28px);
    width: max-content;
  }
  :global(.note-wrong) {
    background: var(--alarm);
    padding-right: var(--spacing-5);
  }
  :global(.note-undo) {
    min-height: 44px;
    padding: 0 var(--spacing-4);
    background: transparent;
    border: 0;
    font-weight: 700;
    color: inherit;
    text-decoration: underline;
    text-underline-offset: 4px;
    cursor: pointer;
  }
</style>
