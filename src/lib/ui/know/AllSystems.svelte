<!-- @component One soil under every system: its shares by that system's limits, and its class there. -->
<script lang="ts">
  import DataTable from '../kit/DataTable.svelte';
  import { textureSystems, underAllSystems, type CurvePoint, type Fractions, type SystemId } from '$lib/core';
  import { className } from '$lib/words/headline';
  import { t } from '$lib/words';

  type Props = { point: Fractions; fromUm: number; curve?: CurvePoint[]; system: SystemId };
  let { point, fromUm, curve, system }: Props = $props();
  const rows = $derived(underAllSystems(point, fromUm, curve));
  type Row = (typeof rows)[number];
</script>

{#snippet name(row: Row)}
  <span class="faded small">{t.know.systemShort[row.system]}</span><br />
  <b>{className(row.system, row.class.name)}</b>
{/snippet}
{#snippet limit(row: Row)}
  {textureSystems[row.system].limitsUm[1]} µm<br />
  <span class="faded small">{t.know.how[row.how]}</span>
{/snippet}

<DataTable
  {rows}
  key={(row) => row.system}
  class="tight"
  rowClass={(row) => (row.system === system ? 'outlined' : '')}
  columns={[
    { id: 'class', head: t.know.allSystems, namesRow: true, class: 'text-ink', cell: name },
    { id: 'limit', head: t.know.limit, num: true, cell: limit },
    ...(['sand', 'silt', 'clay'] as const).map((part) => ({
      id: part,
      head: t.layer[part],
      num: true,
      text: (row: Row) => row.fractions[part].toFixed(1)
    }))
  ]}
/>
{#if rows.some((r) => r.how === 'interpolated')}
  <p class="faded small mt-2">{t.know.interpolatedHint}</p>
{/if}
