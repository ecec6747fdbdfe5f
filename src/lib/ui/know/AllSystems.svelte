<!-- @component One soil under every system: its shares by that system's limits, and its class there. -->
<script lang="ts">
  import { textureSystems, underAllSystems, type CurvePoint, type Fractions, type SystemId } from '$lib/core';
  import { className } from '$lib/words/headline';
  import { t } from '$lib/words';

  type Props = { point: Fractions; fromUm: number; curve?: CurvePoint[]; system: SystemId };
  let { point, fromUm, curve, system }: Props = $props();
  const rows = $derived(underAllSystems(point, fromUm, curve));
</script>

<table class="plain">
  <thead>
    <tr>
      <th scope="col">{t.know.allSystems}</th>
      <th scope="col" class="num">{t.know.limit}</th>
      <th scope="col" class="num">{t.layer.sand}</th>
      <th scope="col" class="num">{t.layer.silt}</th>
      <th scope="col" class="num">{t.layer.clay}</th>
    </tr>
  </thead>
  <tbody>
    {#each rows as row (row.system)}
      {@const shares = [row.fractions.sand, row.fractions.silt, row.fractions.clay]}
      <tr class:own={row.system === system}>
        <th scope="row">
          <span class="faded small">{t.know.systemShort[row.system]}</span><br />
          <b>{className(row.system, row.class.name)}</b>
        </th>
        <td class="num">
          {textureSystems[row.system].limitsUm[1]} µm<br />
          <span class="faded small">{t.know.how[row.how]}</span>
        </td>
        {#each shares as share, i (i)}<td class="num">{share.toFixed(1)}</td>{/each}
      </tr>
    {/each}
  </tbody>
</table>
{#if rows.some((r) => r.how === 'interpolated')}
  <p class="faded small mt-2">{t.know.interpolatedHint}</p>
{/if}

<style>
  table.plain th,
  table.plain td {
    padding: var(--spacing-1) var(--spacing-4) var(--spacing-1) 0;
    line-height: 1.2;
  }
  th[scope='row'] {
    color: var(--ink);
  }
  .own th,
  .own td {
    border-bottom-color: var(--ink);
  }
</style>
