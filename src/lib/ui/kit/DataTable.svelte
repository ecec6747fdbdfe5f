<!-- @component A list as a table: columns are told once, heads that can be sorted by are pressed, long lists draw what is in sight. -->
<script lang="ts" module>
  import type { Snippet } from 'svelte';

  /** One column of a list of `T`: its head, and what stands in its cells, as text or drawn. */
  export type Column<T> = {
    id: string;
    head?: string;
    /** The head is for those who listen only. */
    headUnseen?: boolean;
    text?: (row: T, at: number) => string;
    cell?: Snippet<[T, number]>;
    /** Figures, set right. */
    num?: boolean;
    /** Its cells name the row. */
    namesRow?: boolean;
    class?: string;
    /** Order of two rows by this column; without it the column does not sort. */
    compare?: (a: T, b: T) => number;
  };
</script>

<script lang="ts" generics="T extends object">
  import {
    createSortedRowModel,
    createTable,
    rowSortingFeature,
    tableFeatures,
    type SortingState
  } from '@tanstack/svelte-table';

  type Props = {
    rows: readonly T[];
    columns: Column<T>[];
    /** What tells one row from another. */
    key: (row: T, at: number) => string;
    /** Further classes of the table. */
    class?: string;
    rowClass?: (row: T, at: number) => string;
    /** Column in whose order the rows stand; '' leaves them as they come. */
    sort?: string;
    /** Asked for another order. Without it heads are not pressed. */
    onsort?: (id: string) => void;
    /** A row of its own under a row, with what is to be said of it. */
    under?: Snippet<[T, number]>;
  };
  let { rows, columns, key, class: classes = '', rowClass, sort = '', onsort, under }: Props = $props();

  const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel() });
  const sorting = $derived<SortingState>(sort === '' ? [] : [{ id: sort, desc: false }]);
  const table = createTable<typeof features, T>({
    features,
    getRowId: (row, i) => key(row, i),
    get columns() {
      return columns.map((c) => ({
        id: c.id,
        header: c.head ?? '',
        accessorFn: (row: T) => row,
        enableSorting: c.compare !== undefined,
        sortFn: (a: { original: T }, b: { original: T }) => c.compare?.(a.original, b.original) ?? 0
      }));
    },
    get data() {
      return rows as T[];
    },
    state: {
      get sorting() {
        return sorting;
      }
    }
  });
  const shown = $derived(table.getRowModel().rows);
  const headed = $derived(columns.some((c) => c.head !== undefined));
  const classOf = (c: Column<T>) => [c.num && 'num', c.class].filter(Boolean).join(' ') || undefined;
</script>

<table class="plain {classes}">
  {#if headed}
    <thead>
      <tr>
        {#each columns as c (c.id)}
          <th
            scope="col"
            class={classOf(c)}
            aria-sort={onsort && c.compare ? (c.id === sort ? 'ascending' : 'none') : undefined}
          >
            {#if onsort && c.compare}
              <button type="button" class="sort" onclick={() => onsort(c.id)}>{c.head}</button>
            {:else if c.headUnseen}<span class="sr-only">{c.head}</span>
            {:else}{c.head}{/if}
          </th>
        {/each}
      </tr>
    </thead>
  {/if}
  <tbody>
    {#each shown as row, at (row.id)}
      <tr class={rowClass?.(row.original, at)}>
        {#each columns as c (c.id)}
          {#if c.namesRow}
            <th scope="row" class={classOf(c)}>
              {#if c.cell}{@render c.cell(row.original, at)}{:else}{c.text?.(row.original, at)}{/if}
            </th>
          {:else}
            <td class={classOf(c)}>
              {#if c.cell}{@render c.cell(row.original, at)}{:else}{c.text?.(row.original, at)}{/if}
            </td>
          {/if}
        {/each}
      </tr>
      {@render under?.(row.original, at)}
    {/each}
  </tbody>
</table>
