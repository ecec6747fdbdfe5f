<!-- @component The first rows of a table under its own heads, each column with what it is taken for. -->
<script lang="ts">
  import { TABLE_FIELDS, type Matching, type TableField } from '$lib/formats/table/columns';
  import type { TableLook } from '$lib/formats/table/look';
  import { t } from '$lib/words';

  type Props = {
    look: TableLook;
    matching: Matching;
    onmatch: (column: number, field: TableField | '') => void;
  };
  let { look, matching, onmatch }: Props = $props();

  const nameOf = (i: number) => look.heads[i] || t.taking.column(i + 1);
  const wrong = (no: number, i: number) => look.problems.some((one) => one.no === no && one.column === i);
</script>

<div class="columns">
  <table>
    <thead>
      <tr>
        <th class="no" scope="col"><span class="sr-only">{t.taking.row}</span></th>
        {#each matching.fields as field, i (i)}
          <th scope="col">
            <span class="head">{nameOf(i)}</span>
            <select
              class="select"
              class:out={field === ''}
              aria-label={t.taking.columnIs(nameOf(i))}
              value={field}
              onchange={(e) => onmatch(i, e.currentTarget.value as TableField | '')}
            >
              <option value="">{t.taking.leftOut}</option>
              {#each TABLE_FIELDS as one (one)}<option value={one}>{t.taking.fields[one]}</option>{/each}
            </select>
          </th>
        {/each}
      </tr>
    </thead>
    <tbody>
      {#each look.first as { no, cells } (no)}
        <tr>
          <td class="no faded">{no}</td>
          {#each matching.fields as field, i (i)}
            <td class:faded={field === ''} class:bad={wrong(no, i)}>{cells[i] ?? ''}</td>
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  .columns {
    overflow-x: auto;
    border: var(--line) solid var(--rule);
    background: var(--sheet);
  }
  table {
    border-collapse: collapse;
    min-width: 100%;
  }
  th,
  td {
    padding: var(--spacing-2) var(--spacing-3);
    text-align: left;
    vertical-align: top;
    border-bottom: var(--line) solid var(--hair);
    border-left: var(--line) solid var(--hair);
    max-width: 16rem;
  }
  td {
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .head {
    display: block;
    min-height: 1.4em;
    font-weight: 700;
    white-space: nowrap;
  }
  th .select {
    min-width: 7.4rem;
    margin-top: var(--spacing-1);
    font-weight: 400;
  }
  .out {
    color: var(--faded);
  }
  .no {
    border-left: 0;
    text-align: right;
    min-width: 2.4rem;
  }
  .bad {
    color: var(--wrong);
    font-weight: 700;
  }
</style>
