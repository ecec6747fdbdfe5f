<!-- @component The working of a cylinder test as it is handed in: formula in symbols, then in numbers, then what it gives. -->
<script lang="ts">
  import DataTable from '../kit/DataTable.svelte';
  import type { WorkingLine } from '$lib/core';
  import { t } from '$lib/words';

  let { lines }: { lines: WorkingLine[] } = $props();

  /** Lines of one reading stand together, under its number. */
  const startsReading = (line: WorkingLine, at: number) =>
    line.no !== undefined && lines[at - 1]?.no !== line.no;
</script>

{#snippet what(line: WorkingLine, at: number)}
  <span class="inline-block w-[1.7rem] font-[750] text-ink"
    >{startsReading(line, at) ? (line.no ?? 0) + 1 : ''}</span
  >{t.cylinder.workingLine[line.key]}
{/snippet}

<div class="overflow-x-auto">
  <DataTable
    rows={lines}
    key={(_, i) => String(i)}
    class="tight small w-full min-w-[44rem]"
    rowClass={(line, i) =>
      startsReading(line, i) || (line.no === undefined && lines[i - 1]?.no !== undefined) ? 'parted' : ''}
    columns={[
      {
        id: 'what',
        head: t.cylinder.workingHead.what,
        namesRow: true,
        class: 'font-medium whitespace-nowrap',
        cell: what
      },
      {
        id: 'symbols',
        head: t.cylinder.workingHead.symbols,
        class: 'font-head whitespace-nowrap',
        text: (line) => line.symbols
      },
      { id: 'numbers', head: t.cylinder.workingHead.numbers, text: (line) => line.numbers },
      {
        id: 'outcome',
        head: t.cylinder.workingHead.outcome,
        num: true,
        strong: true,
        text: (line) => line.outcome
      }
    ]}
  />
</div>
