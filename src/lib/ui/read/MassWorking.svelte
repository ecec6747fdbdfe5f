<!-- @component The estimate by mass line by line, with the numbers of the jar. -->
<script lang="ts">
  import type { MassWorking } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import { massTable } from '$lib/workbench/working/tables';

  let { working, format }: { working: MassWorking; format: Format } = $props();
  const table = $derived(massTable(working, format));
</script>

<p class="small">
  {t.mass.line.start(
    `${working.solidsPct.toFixed(1)} %`,
    format.length(working.columnMm),
    format.temp(working.tempC)
  )}
</p>
<div class="wide">
  <table class="plain small">
    <thead>
      <tr>
        {#each table.head as text, i (i)}<th scope="col" class:num={table.numbers.includes(i)}>{text}</th
          >{/each}
      </tr>
    </thead>
    <tbody>
      {#each table.rows as [first, ...rest], i (i)}
        <tr>
          <th scope="row">{first}</th>
          {#each rest as text, k (k)}<td class="num">{text}</td>{/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  .wide {
    overflow-x: auto;
  }
  th,
  td {
    padding-right: var(--spacing-3);
  }
  td.num {
    white-space: nowrap;
  }
</style>
