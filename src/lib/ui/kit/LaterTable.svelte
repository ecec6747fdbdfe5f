<!-- @component A `DataTable` in what is opened on demand: fetched when it is first shown, so that the page comes without it. -->
<script lang="ts" generics="T extends object">
  import type { Column } from './DataTable.svelte';

  type Props = {
    /** As `DataTable`, which is fetched when the page is awake. */
    rows: readonly T[];
    columns: Column<T>[];
    key: (row: T, at: number) => string;
    class?: string;
  };
  let props: Props = $props();
</script>

{#await import('./DataTable.svelte') then { default: DataTable }}
  <DataTable {...props} />
{/await}
