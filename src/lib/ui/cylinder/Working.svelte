<!-- @component The working of a cylinder test as it is handed in: formula in symbols, then in numbers, then what it gives. -->
<script lang="ts">
  import type { WorkingLine } from '$lib/core';
  import { t } from '$lib/words';

  let { lines }: { lines: WorkingLine[] } = $props();
</script>

<div class="wide">
  <table class="plain small">
    <thead>
      <tr>
        <th scope="col">{t.cylinder.workingHead.what}</th>
        <th scope="col">{t.cylinder.workingHead.symbols}</th>
        <th scope="col">{t.cylinder.workingHead.numbers}</th>
        <th scope="col" class="num">{t.cylinder.workingHead.outcome}</th>
      </tr>
    </thead>
    <tbody>
      {#each lines as line, i (i)}
        {@const first = line.no !== undefined && lines[i - 1]?.no !== line.no}
        <tr class:first={first || (line.no === undefined && lines[i - 1]?.no !== undefined)}>
          <th scope="row">
            <span class="no">{first ? line.no! + 1 : ''}</span>{t.cylinder.workingLine[line.key]}
          </th>
          <td class="formula">{line.symbols}</td>
          <td>{line.numbers}</td>
          <td class="num"><b>{line.outcome}</b></td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  .wide {
    overflow-x: auto;
  }
  table {
    width: 100%;
    min-width: 44rem;
  }
  .wide th,
  .wide td {
    padding: var(--spacing-1) var(--spacing-5) var(--spacing-1) 0;
    vertical-align: baseline;
    font-size: var(--text-sm);
  }
  th {
    font-weight: 500;
    white-space: nowrap;
  }
  .no {
    display: inline-block;
    width: 1.7rem;
    font-weight: 750;
    color: var(--ink);
  }
  .wide .first th,
  .wide .first td {
    padding-top: var(--spacing-3);
  }
  .formula {
    font-family: var(--face-head);
    white-space: nowrap;
  }
  .num {
    text-align: right;
    white-space: nowrap;
  }
</style>
