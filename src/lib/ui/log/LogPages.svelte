<!-- @component How many tests there are, the way to those before and after, and what else can be done with them. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import { logAddress, type LogAsked } from '$lib/workbench/find';
  import { t } from '$lib/words';

  type Props = {
    path: string;
    asked: LogAsked;
    /** How many stand on this page. */
    shown: number;
    /** How many there are in all. */
    found: number;
    children?: Snippet;
  };
  let { path, asked, shown, found, children }: Props = $props();

  const { from, most } = $derived(asked);
  const whole = $derived(from === 0 && shown >= found);
</script>

<div class="row-of-actions no-print mt-5">
  <span class="faded"
    >{whole ? t.log.count(found) : t.log.range(Math.min(from + 1, found), from + shown, found)}</span
  >
  {#if !whole}
    <nav class="flex gap-5" aria-label={t.log.pages}>
      {#if from > 0}
        <a class="link" rel="prev" href={logAddress(path, { ...asked, from: Math.max(0, from - most) })}
          >{t.log.before}</a
        >
      {/if}
      {#if from + shown < found}
        <a class="link" rel="next" href={logAddress(path, { ...asked, from: from + most })}>{t.log.after}</a>
      {/if}
    </nav>
  {/if}
  {@render children?.()}
</div>
