<!-- @component The grading curve of a test with its figures, by the limits of a system to choose, and its class in each. -->
<script lang="ts">
  import {
    readableCurve,
    textureSystems,
    type CurveBand,
    type SystemId,
    type WorkedCylinder,
    type WorkedReadings
  } from '$lib/core';
  import Figures from '../curve/Figures.svelte';
  import GradingCurve from '../curve/GradingCurve.svelte';
  import SavePicture from '../export/SavePicture.svelte';
  import Choice from '../fields/Choice.svelte';
  import AllSystems from '../know/AllSystems.svelte';
  import { t } from '$lib/words';

  type Props = {
    readings: WorkedReadings;
    band?: CurveBand;
    /** The whole, once the readings tell sand from clay. */
    worked?: WorkedCylinder;
    code: string;
    sampleName: string;
    methodName: string;
    day: string;
  };
  let { readings, band, worked, code, sampleName, methodName, day }: Props = $props();

  let system = $state<SystemId>('usda');
  let svg = $state<SVGSVGElement>();
  const curve = $derived(worked && readableCurve(worked));
</script>

<section class="mt-7" aria-label={t.curve.title}>
  <div class="flex flex-wrap justify-between gap-y-3 gap-x-8 items-baseline mb-3">
    <h2>{t.curve.title}</h2>
    <SavePicture
      {svg}
      name={`tivrel-${code}-curve`}
      caption={() => ({
        legend: [`${code}, ${sampleName}. ${t.curve.legend}`],
        source: t.saving.source(methodName, day)
      })}
    />
  </div>
  <GradingCurve bind:svg curve={readings.curve} {band} figures={readings.figures} {system} />
  <div class="flex flex-wrap justify-between gap-y-3 gap-x-8 items-end">
    <Figures figures={readings.figures} />
    <Choice
      label={t.know.system}
      bind:value={system}
      options={(Object.keys(textureSystems) as SystemId[]).map((id) => ({
        value: id,
        label: t.know.systemShort[id]
      }))}
    />
  </div>
  {#if worked}
    <div class="max-w-reading mt-5"><AllSystems point={worked.fractions} fromUm={50} {curve} {system} /></div>
  {/if}
</section>

<style>
  @media print {
    section {
      break-inside: avoid;
    }
  }
</style>
