<!-- @component How the cut sizes of a jar come about, line by line with its own figures. -->
<script lang="ts">
  import Fold from '../kit/Fold.svelte';
  import {
    formatDuration,
    GRAVITY,
    LOOSE_SOIL_DENSITY,
    QUARTZ_DENSITY,
    STOKES_LIMIT_UM,
    type CutReport
  } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { cutText } from '$lib/words/steps';
  import { t } from '$lib/words';

  type Props = { report: CutReport; tempC: number; soilMm: number; waterMm: number; format: Format };
  let { report, tempC, soilMm, waterMm, format }: Props = $props();

  const w = t.set.working;
  const { viscosity, density } = $derived(report.water);
</script>

<Fold label={t.result.working}>
  <ul class="plain-list small">
    <li>{w.water(format.temp(tempC), (viscosity * 1000).toFixed(3), density.toFixed(1), QUARTZ_DENSITY)}</li>
    <li>
      {w.load(
        format.length(soilMm),
        LOOSE_SOIL_DENSITY,
        report.solidsKgM2.toFixed(1),
        format.length(waterMm),
        (report.phi0 * 100).toFixed(1)
      )}
    </li>
    <li>{w.crowd((1 - report.phi0).toFixed(3), report.startSpeedPct.toFixed(0))}</li>
    <li>{w.law}</li>
    {#each report.marks as mark (mark.layer)}
      <li>
        {w.mark(t.layer[mark.layer], formatDuration(mark.atS), formatDuration(mark.warpedS))}
        {#if mark.cutUm > STOKES_LIMIT_UM}
          {w.natural(STOKES_LIMIT_UM, cutText(mark.cutUm))}
        {:else}
          <span class="block"
            >√(18 × {(viscosity * 1000).toFixed(3)}·10⁻³ × {(waterMm / 1000).toFixed(3)} / ({(
              QUARTZ_DENSITY - density
            ).toFixed(0)} × {GRAVITY} × {mark.warpedS.toFixed(0)})) = {cutText(mark.cutUm)} µm</span
          >
        {/if}
      </li>
    {/each}
  </ul>
</Fold>

<style>
  li {
    padding: var(--spacing-2) 0;
    border-bottom: var(--line) solid var(--hair);
  }
</style>
