<!-- @component Readings of a simulated cylinder with what came of them; each says that it is made up. -->
<script lang="ts">
  import { formatTapeTime, type WorkedReading } from '$lib/core';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import { cutText } from '$lib/words/steps';
  import DataTable from '../kit/DataTable.svelte';

  type Props = { readings: readonly WorkedReading[]; tool: 'hydrometer' | 'pipette'; format: Format };
  let { readings, tool, format }: Props = $props();
</script>

{#snippet simulatedValue(r: { value: number })}
  {r.value} <span class="faded small">{t.cylinder.simulated}</span>
{/snippet}

<div class="wide overflow-x-auto">
  <DataTable
    rows={readings}
    key={(r) => String(r.no)}
    class="tight"
    columns={[
      { id: 'took', head: t.cylinder.column.took, num: true, text: (r) => formatTapeTime(r.timeS) },
      {
        id: 'value',
        head: `${t.cylinder.column.value[tool]}, ${tool === 'pipette' ? t.cylinder.unit.pipette : t.cylinder.unit['152H']}`,
        num: true,
        cell: simulatedValue
      },
      { id: 'temp', head: t.cylinder.column.temp, num: true, text: (r) => format.temp(r.tempC) },
      {
        id: 'size',
        head: t.cylinder.column.size,
        num: true,
        text: (r) => `${cutText(r.shownUm)} µm`
      },
      {
        id: 'finer',
        head: t.cylinder.column.finer,
        num: true,
        strong: true,
        text: (r) => `${r.finerPct.toFixed(1)} %`
      }
    ]}
  />
</div>
