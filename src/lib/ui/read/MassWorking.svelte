<!-- @component The estimate by mass line by line, with the numbers of the jar. -->
<script lang="ts">
  import { formatTapeTime, type MassWorking } from '$lib/core';
  import type { Format } from '../format';
  import { t } from '../strings';

  let { working, format }: { working: MassWorking; format: Format } = $props();
  const LAYERS = ['sand', 'silt', 'clay'] as const;
</script>

<p class="small">
  {t.mass.line.start(
    `${working.solidsPct.toFixed(1)} %`,
    format.length(working.columnMm),
    format.temp(working.tempC)
  )}
</p>
<div class="wide">
  {#if working.basis === 'marks'}
    <table class="plain small">
      <thead>
        <tr>
          <th scope="col">{t.mass.line.adds}</th>
          {#each LAYERS as layer (layer)}<th scope="col" class="num">{t.layer[layer]}</th>{/each}
          <th scope="col" class="num">{t.mass.line.sum}</th>
          <th scope="col" class="num">{t.mass.line.read}</th>
        </tr>
      </thead>
      <tbody>
        {#each working.marks as mark (mark.timeS)}
          <tr>
            <th scope="row"
              >{t.mass.line.mark(formatTapeTime(mark.timeS), mark.cutUm.toFixed(mark.cutUm < 10 ? 1 : 0))}</th
            >
            {#each LAYERS as layer (layer)}<td class="num">{format.length(mark.addsMm[layer], 1)}</td>{/each}
            <td class="num">{format.length(mark.sumMm, 1)}</td>
            <td class="num">{format.length(mark.readMm, 1)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {:else}
    <table class="plain small">
      <thead>
        <tr>
          <th scope="col">{t.mass.part}</th>
          <th scope="col" class="num">{t.mass.line.thick}</th>
          <th scope="col" class="num">{t.mass.line.packs}</th>
          <th scope="col" class="num">{t.mass.line.down}</th>
          <th scope="col" class="num">{t.mass.line.load}</th>
        </tr>
      </thead>
      <tbody>
        {#each working.bands as band (band.layer)}
          <tr>
            <th scope="row">{t.Layer[band.layer]}</th>
            <td class="num">{format.length(band.thickMm, 1)}</td>
            <td class="num">× {band.packing}</td>
            <td class="num">÷ {band.downPct.toFixed(0)} %</td>
            <td class="num">= {band.loadKgM2.toFixed(2)} kg/m²</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</div>

<style>
  .wide {
    overflow-x: auto;
  }
  th,
  td {
    padding-right: 0.7rem;
  }
  td.num {
    white-space: nowrap;
  }
</style>
