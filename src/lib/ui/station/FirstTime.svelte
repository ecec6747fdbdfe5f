<!-- @component One line of help where somebody meets a thing for the first time on this device; once read it is gone for good. -->
<script lang="ts">
  import { onMount } from 'svelte';
  import { keepDraft, readDraft } from '../fields/draft';
  import { t } from '$lib/words';

  type Props = { page: keyof typeof t.firstTime.lines };
  let { page }: Props = $props();

  /** Not before the page knows whether it has been read. */
  let shown = $state(false);
  onMount(() => (shown = readDraft(`first:${page}`) !== true));

  function read() {
    shown = false;
    keepDraft(`first:${page}`, true);
  }
</script>

{#if shown}
  <p class="first no-print" role="note">
    {t.firstTime.lines[page]}
    <button type="button" class="link min-h-touch" onclick={read}>{t.firstTime.read}</button>
  </p>
{/if}

<style>
  .first {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 var(--spacing-5);
    margin: var(--spacing-3) 0;
    padding: var(--spacing-1) 0 var(--spacing-1) var(--spacing-4);
    border-left: var(--line-heavy) solid var(--tape-edge);
  }
</style>
