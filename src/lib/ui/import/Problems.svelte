<!-- @component What stands in the way of rows of a table, by row and column; and all of it as a file, to mend the table by. -->
<script lang="ts">
  import type { TableLook } from '$lib/formats/table/look';
  import { t } from '$lib/words';
  import DataTable from '../kit/DataTable.svelte';

  type Props = { look: TableLook };
  let { look }: Props = $props();

  const columnOf = (column: number | null) =>
    column === null ? '' : look.heads[column] || t.taking.column(column + 1);

  async function save() {
    const { csvFile } = await import('$lib/formats/csv-file');
    const rows = look.problems.map(({ no, column, message }) => ({
      row: no,
      column: columnOf(column),
      what: message
    }));
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([csvFile(rows)], { type: 'text/csv' }));
    link.download = 'problems.csv';
    link.click();
    URL.revokeObjectURL(link.href);
  }
</script>

<section aria-labelledby="problems">
  <h2 id="problems">{t.taking.problems(look.bad)}</h2>
  <div class="list">
    <DataTable
      rows={look.problems}
      key={(one, i) => `${one.no} ${one.column} ${i}`}
      columns={[
        { id: 'row', head: t.taking.row, num: true, text: (one) => String(one.no) },
        { id: 'column', head: t.taking.columnHead, text: (one) => columnOf(one.column) },
        { id: 'what', head: t.taking.what, text: (one) => one.message }
      ]}
    />
  </div>
  <p class="row-of-actions mt-3">
    {#if look.more > 0}<span class="faded">{t.taking.more(look.more)}</span>{/if}
    <button type="button" class="link" onclick={save}>{t.taking.saveProblems}</button>
  </p>
</section>

<style>
  .list {
    max-height: 22rem;
    overflow-y: auto;
  }
</style>
