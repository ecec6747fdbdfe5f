<!-- @component The working of a cylinder test as it is handed in: formula in symbols, then in numbers, then what it gives. -->
<script lang="ts">
  import type { WorkingLine } from '$lib/core';
  import { t } from '$lib/words';

  let { lines }: { lines: WorkingLine[] } = $props();
</script>

<div class="wide overflow-x-auto">
  <table class="plain small w-full min-w-[44rem]">
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
            <span class="inline-block w-[1.7rem] font-[750] text-ink">{first ? line.no! + 1 : ''}</span>{t
              .cylinder.workingLine[line.key]}
          </th>
          <td class="font-head whitespace-nowrap">{line.symbols}</td>
          <td>{line.numbers}</td>
          <td class="num"><b>{line.outcome}</b></td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
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
  .wide .first th,
  .wide .first td {
    padding-top: var(--spacing-3);
  }
  .num {
    text-align: right;
    white-space: nowrap;
  }
</style>
