<!-- @component What was seen of the water over the sediment, on a scale that says how to look. -->
<script lang="ts">
  import { WATERS, type Clarity } from '$lib/core';
  import Choice from '../fields/Choice.svelte';
  import { t } from '$lib/words';

  let { value = $bindable() }: { value: '' | Clarity } = $props();
</script>

<div class="water">
  <Choice
    label={t.mass.water}
    bind:value
    options={([...WATERS, 'unseen'] as const).map((water) => ({ value: water, label: t.mass.waters[water] }))}
  />
  <p class="faded small mt-1">{t.mass.waterScale[value]}</p>
</div>

<style>
  .water :global(.choice-item) {
    padding-inline: var(--spacing-3);
  }
</style>
