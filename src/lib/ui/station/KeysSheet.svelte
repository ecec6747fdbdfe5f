<!-- @component The help sheet: every key. -->
<script lang="ts">
  import { t } from '$lib/words';
  import Sheet from './Sheet.svelte';

  let { open = $bindable() }: { open: boolean } = $props();
</script>

<Sheet bind:open title={t.keys.title} lead={t.keys.lead}>
  <dl>
    {#each t.keys.list as [key, what] (key)}
      <div class="grid grid-cols-[5rem_1fr] items-baseline border-b border-hair py-2 px-0">
        <dt><kbd>{key}</kbd></dt>
        <dd>{what}</dd>
      </div>
    {/each}
  </dl>
</Sheet>

<style>
  kbd {
    font: 650 var(--text-base) var(--face-text);
    background: var(--tape);
    color: var(--tape-ink);
    padding: var(--spacing-1) var(--spacing-3);
  }
</style>
