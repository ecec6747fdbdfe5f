<!-- @component Which classes lie nearest to a soil, and what would have to be swapped to be one of them. -->
<script lang="ts">
  import { textureNeighbours, type Fractions, type SystemId } from '$lib/core';
  import { t } from '$lib/words';
  import { className } from '$lib/words/headline';

  let { system, point }: { system: SystemId; point: Fractions } = $props();
  const neighbours = $derived(textureNeighbours(system, point).slice(0, 3));
</script>

{#if neighbours.length > 0}
  <div>
    <h2 class="text-lg mb-1">{t.know.nearby}</h2>
    <ul class="plain-list grid gap-1">
      {#each neighbours as n (n.id)}
        <li>
          {t.result.swap(
            n.points < 1 ? t.result.lessThanPoint : t.result.points(Math.round(n.points * 10) / 10),
            t.layer[n.take],
            t.layer[n.give],
            className(system, n.name)
          )}
        </li>
      {/each}
    </ul>
  </div>
{/if}
