<!-- @component A place with nothing in it yet: the dashed outline of what will stand there, what it is for, and the first step. -->
<script lang="ts">
  import type { Snippet } from 'svelte';

  type Props = {
    /** What it is for, in a sentence or two. */
    lead: string;
    /** Dashed outlines, in an svg of 240 by 120. */
    outline: Snippet;
    /** The first step. */
    children: Snippet;
  };
  let { lead, outline, children }: Props = $props();
</script>

<div class="empty no-print">
  <svg class="max-sm:max-w-[220px]" viewBox="0 0 240 120" aria-hidden="true">{@render outline()}</svg>
  <div>
    <p class="mb-4">{lead}</p>
    <div class="row-of-actions">{@render children()}</div>
  </div>
</div>

<style>
  .empty {
    display: grid;
    grid-template-columns: 260px minmax(0, 34rem);
    gap: var(--spacing-5) var(--spacing-8);
    align-items: center;
    padding: var(--spacing-6) 0;
  }
  svg {
    width: 100%;
    fill: none;
    stroke: var(--rule);
    stroke-width: 1.6;
    stroke-dasharray: 6 5;
  }
  @media (max-width: 640px) {
    .empty {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
