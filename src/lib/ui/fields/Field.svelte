<!-- @component A labelled entry with its hint, and its error beside it. The entry itself is given as a snippet. -->
<script lang="ts">
  import type { Snippet } from 'svelte';

  type Entry = { id: string; 'aria-invalid': 'true' | undefined; 'aria-describedby': string | undefined };
  type Props = { label: string; hint?: string; error?: string; children: Snippet<[Entry]> };
  let { label, hint, error, children }: Props = $props();

  const id = $props.id();
  const note = $derived(error ? `${id}-error` : hint ? `${id}-hint` : undefined);
</script>

<div class="field flex flex-col gap-1 min-w-0">
  <label class="font-semibold text-base" for={id}>{label}</label>
  {@render children({ id, 'aria-invalid': error ? 'true' : undefined, 'aria-describedby': note })}
  {#if error}
    <p class="wrong small mt-1 leading-[1.3]" id="{id}-error" role="alert">{error}</p>
  {:else if hint}
    <p class="faded small mt-1 leading-[1.3]" id="{id}-hint">{hint}</p>
  {/if}
</div>
