<!-- @component So many buckets of a material, drawn one by one, with one more or one less by a press. -->
<script lang="ts">
  import Minus from '@lucide/svelte/icons/minus';
  import Plus from '@lucide/svelte/icons/plus';
  import type { Fractions } from '$lib/core';
  import { t } from '$lib/words';

  type Props = { name: string; shares: Fractions; count: number; onmore: () => void; onfewer: () => void };
  let { name, shares, count, onmore, onfewer }: Props = $props();

  /** No more are drawn than fit on a line. */
  const MOST = 24;
  const drawn = $derived(Math.min(count, MOST));
  const WIDE = 20;
  /** What most of it is. */
  const grain = $derived(
    shares.sand >= shares.silt && shares.sand >= shares.clay
      ? 'sand'
      : shares.clay >= shares.silt
        ? 'clay'
        : 'silt'
  );
</script>

<div class="flex flex-wrap items-center gap-x-4 gap-y-1">
  <strong class="text-lg">{name}</strong>
  <span class="num">{t.wall.blend.count(count)}</span>
  <button
    type="button"
    class="btn btn-secondary no-print"
    aria-label={t.wall.blend.fewer(name)}
    disabled={count === 0}
    onclick={onfewer}
  >
    <Minus size={18} aria-hidden="true" />
  </button>
  <button
    type="button"
    class="btn btn-secondary no-print"
    aria-label={t.wall.blend.more(name)}
    onclick={onmore}
  >
    <Plus size={18} aria-hidden="true" />
  </button>
</div>
{#if drawn > 0}
  <svg
    viewBox="0 0 {WIDE * drawn} 24"
    style:width="{WIDE * drawn * 1.3}px"
    class="block max-w-full"
    aria-hidden="true"
  >
    {#each Array.from({ length: drawn }, (_, i) => i) as i (i)}
      <path d="M{i * WIDE + 2} 4h15l-2 18h-11z" fill="url(#grain-{grain})" class="bucket" />
      <path d="M{i * WIDE + 3} 4q6.500 -6 13 0" class="handle" />
    {/each}
  </svg>
{/if}

<style>
  .bucket {
    stroke: var(--ink);
    stroke-width: 1.2;
  }
  .handle {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1;
  }
</style>
