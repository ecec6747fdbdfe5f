<!-- @component What stands against a result, as part of its headline: a mark of another size, a reading made too soon. -->
<script lang="ts">
  import type { ReadingDoubt } from '$lib/core';
  import { doubtText } from '$lib/words/doubts';

  let { doubts }: { doubts: readonly ReadingDoubt[] } = $props();
</script>

{#each doubts as doubt (doubt.kind + ('layer' in doubt ? doubt.layer : ''))}
  <p class="pl-4 border-l-3 border-alarm font-semibold" data-testid="doubt">{doubtText(doubt)}</p>
{/each}
