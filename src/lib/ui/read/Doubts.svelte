<!-- @component What stands against a result, as part of its headline: a mark of another size, a reading made too soon. -->
<script lang="ts">
  import type { ReadingDoubt } from '$lib/core';
  import { doubtText } from '$lib/words/doubts';

  let { doubts }: { doubts: readonly ReadingDoubt[] } = $props();
</script>

{#each doubts as doubt (doubt.kind + ('layer' in doubt ? doubt.layer : ''))}
  <p class="doubt" data-testid="doubt">{doubtText(doubt)}</p>
{/each}

<style>
  .doubt {
    padding-left: var(--spacing-4);
    border-left: var(--line-heavy) solid var(--alarm);
    font-weight: 600;
  }
</style>
