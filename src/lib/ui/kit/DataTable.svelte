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
    /** What the list is read for. */
    strong?: boolean;
    class?: string;
    /** Order of two rows by this column; without it the column does not sort. */
    compare?: (a: T, b: T) => number;
    /** That order begins with the latest or the largest. */
    latestFirst?: boolean;
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
  import type { SvelteVirtualizer } from '@tanstack/svelte-virtual';
  import { flushSync, untrack } from 'svelte';
  import { fromStore } from 'svelte/store';

  type Props = {
    /** What is listed, a row each. */
    rows: readonly T[];
    /** What stands in each column; a head makes it sortable where it says how. */
    columns: Column<T>[];
    /** What tells one row from another. */
    key: (row: T, at: number) => string;
    /** Further classes of the table. */
    class?: string;
    /** A class of a row by what it holds. */
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
  const all = $derived(table.getRowModel().rows);

  /** More rows than this are drawn only where they are in sight; paper takes them all. */
  const MANY = 120;
  /** A line of a list, px, until it has been measured. */
  const ROW_PX = 46;
  const many = $derived(rows.length > MANY);
  let body = $state<HTMLElement>();
  let onPaper = $state(false);
  let scroll = $state.raw<{ current: SvelteVirtualizer<Window, HTMLTableRowElement> }>();
  /** Fetched by long lists alone. */
  async function fetchScroll() {
    const { createWindowVirtualizer } = await import('@tanstack/svelte-virtual');
    scroll = fromStore(
      createWindowVirtualizer<HTMLTableRowElement>({ count: 0, estimateSize: () => ROW_PX, overscan: 12 })
    );
  }
  $effect(() => {
    if (many && !scroll) void fetchScroll();
  });
  $effect(() => {
    const options = {
      count: many ? all.length : 0,
      scrollMargin: body ? body.getBoundingClientRect().top + window.scrollY : 0,
      getItemKey: (i: number) => all[i]?.id ?? i
    };
    if (scroll) untrack(() => scroll?.current.setOptions(options));
  });
  const inSight = $derived(many && !onPaper ? scroll?.current.getVirtualItems() : undefined);
  const shown = $derived(
    inSight?.flatMap(({ index }) => (all[index] ? [{ row: all[index], at: index }] : [])) ??
      all.slice(0, onPaper ? undefined : MANY).map((row, at) => ({ row, at }))
  );
  /** Room above and below what is in sight, px. */
  const room = $derived.by(() => {
    if (!scroll || !inSight?.length) return { above: 0, below: 0 };
    const { options, getTotalSize } = scroll.current;
    return {
      above: inSight[0].start - options.scrollMargin,
      below: getTotalSize() - (inSight[inSight.length - 1].end - options.scrollMargin)
    };
  });
  const measured = (row: HTMLTableRowElement) => {
    if (many) scroll?.current.measureElement(row);
  };

  const headed = $derived(columns.some((c) => c.head !== undefined));
  const headClass = (c: Column<T>) => [c.num && 'num', c.class].filter(Boolean).join(' ') || undefined;
  const cellClass = (c: Column<T>) =>
    [headClass(c), c.strong && 'font-bold'].filter(Boolean).join(' ') || undefined;
</script>

<svelte:window
  onbeforeprint={() => flushSync(() => (onPaper = true))}
  onafterprint={() => (onPaper = false)}
/>

<table class="plain {classes}" aria-rowcount={many ? rows.length + (headed ? 1 : 0) : undefined}>
  {#if headed}
    <thead>
      <tr>
        {#each columns as c (c.id)}
          <th
            scope="col"
            class={headClass(c)}
            aria-sort={onsort && c.compare
              ? c.id !== sort
                ? 'none'
                : c.latestFirst
                  ? 'descending'
                  : 'ascending'
              : undefined}
          >
            {#if onsort && c.compare}
              <button type="button" onclick={() => onsort(c.id)}>{c.head}</button>
            {:else if c.headUnseen}<span class="sr-only">{c.head}</span>
            {:else}{c.head}{/if}
          </th>
        {/each}
      </tr>
    </thead>
  {/if}
  <tbody bind:this={body}>
    {@render gap(room.above)}
    {#each shown as { row, at } (row.id)}
      <tr
        class={rowClass?.(row.original, at)}
        data-index={at}
        aria-rowindex={many ? at + (headed ? 2 : 1) : undefined}
        use:measured
      >
        {#each columns as c (c.id)}
          {#if c.namesRow}
            <th scope="row" class={cellClass(c)}>
              {#if c.cell}{@render c.cell(row.original, at)}{:else}{c.text?.(row.original, at)}{/if}
            </th>
          {:else}
            <td class={cellClass(c)}>
              {#if c.cell}{@render c.cell(row.original, at)}{:else}{c.text?.(row.original, at)}{/if}
            </td>
          {/if}
        {/each}
      </tr>
      {@render under?.(row.original, at)}
    {/each}
    {@render gap(room.below)}
  </tbody>
</table>

{#snippet gap(px: number)}
  {#if px > 0}<tr aria-hidden="true"><td colspan={columns.length} style:height="{px}px"></td></tr>{/if}
{/snippet}
