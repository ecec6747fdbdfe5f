<!-- @component What is to be done before a jar is set down, ticked one by one, each with its caution. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import { t } from '$lib/words';

  type Props = {
    /** What is to be done: a key of each, and its words. */
    items: readonly (readonly [key: string, words: string])[];
    /** Keys of what is done. */
    done: readonly string[];
    onticks: (done: string[]) => void;
    /** What belongs under one of them, by its key. */
    under?: Snippet<[string]>;
  };
  let { items, done, onticks, under }: Props = $props();

  function toggle(key: string, on: boolean) {
    const others = done.filter((k) => k !== key);
    onticks(on ? [...others, key] : others);
  }
</script>

<ul class="plain-list ticks my-5">
  {#each items as [key, words] (key)}
    <li class="border-b border-hair">
      <label>
        <input
          class="checkbox"
          type="checkbox"
          checked={done.includes(key)}
          onchange={(e) => toggle(key, e.currentTarget.checked)}
        />
        <span>{words}</span>
      </label>
      {#if t.prepare.cautions[key]}<p class="small mb-3 mr-0 ml-8 pl-4 border-l-3 border-alarm">
          {t.prepare.cautions[key]}
        </p>{/if}
      {@render under?.(key)}
    </li>
  {/each}
</ul>

<style>
  .ticks label {
    display: flex;
    gap: var(--spacing-4);
    align-items: center;
    min-height: 52px;
    padding: var(--spacing-2) 0;
    cursor: pointer;
    line-height: 1.3;
    font-size: var(--text-lg);
  }
  .ticks input:checked + span {
    color: var(--faded);
  }
</style>
