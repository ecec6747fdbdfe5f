<!-- @component How pressing a step is, as a shape: a filled disc for now, a hollow triangle for late, a cross for missed. -->
<script lang="ts">
  import type { StepState } from '$lib/core';
  import { t } from '$lib/words';

  let { state }: { state: StepState } = $props();
</script>

{#if state === 'due' || state === 'late' || state === 'missed'}
  <svg width="15" height="15" viewBox="0 0 15 15" role="img" aria-label={t.step.state[state]} class={state}>
    {#if state === 'due'}<circle cx="7.5" cy="7.5" r="6" />
    {:else if state === 'late'}<path d="M7.5 1.8L14 13.2H1Z" />
    {:else}<path d="M2 2L13 13M13 2L2 13" />{/if}
  </svg>
{/if}

<style>
  svg {
    display: inline-block;
    vertical-align: -1px;
    margin-right: var(--spacing-1);
  }
  .due circle {
    fill: currentColor;
  }
  .late path,
  .missed path {
    fill: none;
    stroke: currentColor;
    stroke-width: 2.4;
    stroke-linejoin: round;
  }
</style>
