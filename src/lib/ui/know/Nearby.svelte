<!-- @component Which classes lie nearest to a soil, and what would have to be swapped to be one of them. -->
<script lang="ts">
  import type { Fractions, SystemId } from '$lib/core';
  import { t } from '$lib/words';
  import { swapTexts } from '$lib/words/swap';

  let { system, point }: { system: SystemId; point: Fractions } = $props();
  const MOST = 3;
  const swaps = $derived(swapTexts(system, point, MOST));
</script>

{#if swaps.length > 0}
  <div>
    <h2 class="text-lg mb-1">{t.know.nearby}</h2>
    <ul class="plain-list grid gap-1">
      {#each swaps as swap (swap)}<li>{swap}</li>{/each}
    </ul>
  </div>
{/if}
