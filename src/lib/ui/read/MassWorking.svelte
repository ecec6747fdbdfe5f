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
<div class="overflow-x-auto">
  <table class="plain small">
    <thead>
      <tr>
        {#each table.head as text, i (i)}<th class="pr-3" scope="col" class:num={table.numbers.includes(i)}
            >{text}</th
          >{/each}
      </tr>
    </thead>
    <tbody>
      {#each table.rows as [first, ...rest], i (i)}
        <tr>
          <th class="pr-3" scope="row">{first}</th>
          {#each rest as text, k (k)}<td class="num pr-3">{text}</td>{/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  td.num {
    white-space: nowrap;
  }
</style>
