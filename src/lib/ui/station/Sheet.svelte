<!-- @component A sheet of paper over the bench: the component library's dialog in our look. -->
<script lang="ts">
  import { Dialog, Portal } from '@skeletonlabs/skeleton-svelte';
  import type { Snippet } from 'svelte';
  import { t } from '$lib/words';

  type Props = {
    open: boolean;
    title: string;
    lead?: string;
    /** On the button that closes it. */
    closeLabel?: string;
    children?: Snippet;
    actions?: Snippet;
  };
  let { open = $bindable(), title, lead, closeLabel, children, actions }: Props = $props();
</script>

<Dialog {open} onOpenChange={(e) => (open = e.open)}>
  <Portal>
    <Dialog.Backdrop class="sheet-backdrop" />
    <Dialog.Positioner class="sheet-place">
      <Dialog.Content class="sheet sheet-body">
        <Dialog.Title class="sheet-title">{title}</Dialog.Title>
        {#if lead}<Dialog.Description class="sheet-lead">{lead}</Dialog.Description>{/if}
        {@render children?.()}
        <div class="row-of-actions sheet-actions">
          {@render actions?.()}
          <Dialog.CloseTrigger class="btn btn-secondary"
            >{closeLabel ?? (actions ? t.common.cancel : t.common.close)}</Dialog.CloseTrigger
          >
        </div>
      </Dialog.Content>
    </Dialog.Positioner>
  </Portal>
</Dialog>

<style>
  :global(.sheet-backdrop) {
    position: fixed;
    inset: 0;
    background: var(--veil);
    z-index: 40;
  }
  :global(.sheet-place) {
    position: fixed;
    inset: 0;
    display: grid;
    place-items: center;
    padding: var(--spacing-5);
    z-index: 41;
  }
  :global(.sheet-body) {
    width: min(540px, 100%);
    max-height: calc(100dvh - 32px);
    overflow: auto;
    padding: var(--spacing-6) var(--spacing-6);
  }
  :global(.sheet-title) {
    font: 650 var(--text-2xl)/1.2 var(--face-head);
  }
  :global(.sheet-lead) {
    margin: var(--spacing-2) 0 var(--spacing-5);
    color: var(--faded);
  }
  :global(.sheet-actions) {
    margin-top: var(--spacing-6);
  }
</style>
