<!-- @component The estimate by mass line by line, with the numbers of the jar. -->
<script lang="ts">
  import LaterTable from '../kit/LaterTable.svelte';
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
  <LaterTable
    rows={table.rows as string[][]}
    key={(_, i) => String(i)}
    class="small"
    columns={table.head.map((head, i) => ({
      id: String(i),
      head,
      namesRow: i === 0,
      num: table.numbers.includes(i),
      class: 'pr-3',
      text: (row: string[]) => row[i]
    }))}
  />
</div>
