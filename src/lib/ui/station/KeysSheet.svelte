<!-- @component The help sheet: every key. -->
<script lang="ts">
  import { t } from '$lib/words';
  import Sheet from './Sheet.svelte';

  let { open = $bindable() }: { open: boolean } = $props();
</script>

<Sheet bind:open title={t.keys.title} lead={t.keys.lead}>
  <dl>
    {#each t.keys.list as [key, what] (key)}
      <div>
        <dt><kbd>{key}</kbd></dt>
        <dd>{what}</dd>
      </div>
    {/each}
  </dl>
</Sheet>

<style>
  dl > div {
    display: grid;
    grid-template-columns: 5rem 1fr;
    align-items: baseline;
    border-bottom: var(--line) solid var(--hair);
    padding: var(--spacing-2) 0;
  }
  dd {
    margin: 0;
  }
  kbd {
    font: 650 var(--text-base) var(--face-text);
    background: var(--tape);
    color: var(--tape-ink);
    padding: var(--spacing-1) var(--spacing-3);
  }
</style>
