<!-- @component A clock that runs as fast as the task says, and a mark that is pressed when it is due; a table of times where that is to be found. -->
<script lang="ts">
  import {
    formatDuration,
    known,
    linesNow,
    momentOf,
    STANDARD_VESSELS,
    trackJar,
    type Given,
    type Task
  } from '$lib/core';
  import { t } from '$lib/words';
  import VesselDrawing from '../../vessel/VesselDrawing.svelte';

  type Props = {
    task: Task<'when'>;
    answered: boolean;
    ongive: (given: Given<'when'>, at_once?: boolean) => void;
  };
  let { task, answered, ongive }: Props = $props();
  const w = t.drills;
  /** The clock shows a new time so often, ms. */
  const BEAT_MS = 50;
  let from = $state<number>();
  let gone = $state(0);
  let stopped = $state<number>();
  $effect(() => {
    if (from === undefined || stopped !== undefined) return;
    const began = from;
    const beat = setInterval(() => (gone = ((performance.now() - began) / 1000) * task.rate), BEAT_MS);
    return () => clearInterval(beat);
  });
  const HIGH_PX = 300;
  const vessel = known(
    STANDARD_VESSELS.find((v) => v.id === 'jar-litre-tall'),
    'it ships'
  );
  /** A jar of the task's depth and warmth, settling as it would. */
  const track = $derived(
    trackJar({
      fractions: { sand: 40, silt: 40, clay: 20 },
      soilMm: 42,
      waterMm: task.columnMm,
      innerDiameterMm: vessel.innerDiameterMm,
      tempC: task.tempC,
      dispersant: true,
      hardWater: false,
      shakenMin: 10,
      mishaps: [],
      seed: 0
    })
  );
  const moment = $derived(momentOf(track, gone));
  const sandMm = $derived(linesNow(track, moment).sandMm);
  const layers = $derived([
    { layer: 'sand' as const, topMm: sandMm },
    { layer: 'silt' as const, topMm: moment.topMm }
  ]);
  function mark() {
    if (from === undefined || stopped !== undefined) return;
    stopped = gone = ((performance.now() - from) / 1000) * task.rate;
    ongive({ atS: stopped }, true);
  }
  const columns = $derived([...new Set(task.table.map((row) => row.columnMm))]);
  const temps = $derived([...new Set(task.table.map((row) => row.tempC))]);
  const due = (tempC: number, columnMm: number) =>
    task.table.find((row) => row.tempC === tempC && row.columnMm === columnMm)?.dueS ?? 0;
</script>

{#if !task.told}
  <table class="plain tight max-w-[30rem] mb-4">
    <caption class="small faded text-left">{w.fields.table(task.layer)}</caption>
    <thead>
      <tr>
        <th scope="col">{w.fields.depth}</th>
        {#each columns as mm (mm)}<th scope="col" class="num">{mm} mm</th>{/each}
      </tr>
    </thead>
    <tbody>
      {#each temps as tempC (tempC)}
        <tr>
          <th scope="row">{tempC} °C</th>
          {#each columns as mm (mm)}<td class="num">{formatDuration(due(tempC, mm))}</td>{/each}
        </tr>
      {/each}
    </tbody>
  </table>
{/if}
<div class="grid grid-cols-[auto_minmax(0,1fr)] gap-x-8 gap-y-4 items-start">
  <VesselDrawing
    {vessel}
    scale={HIGH_PX / vessel.innerHeightMm}
    code="P"
    soilMm={42}
    waterMm={task.columnMm}
    lid={false}
    tapeRoom={0}
    {layers}
    turbidity={[0.35, 0.7, 0.8]}
  />
  <div class="grid gap-4 justify-items-start min-w-0">
    <p
      class="font-head text-4xl font-[680] leading-[1] tabular-nums"
      role="timer"
      aria-label={w.fields.clock}
    >
      {formatDuration(gone)}
    </p>
    {#if from === undefined}
      <button type="button" class="btn btn-primary" onclick={() => (from = performance.now())}
        >{w.fields.start}</button
      >
    {:else if !answered && stopped === undefined}
      <button type="button" class="btn btn-primary w-full max-w-[12rem] min-h-[64px]" onclick={mark}
        >{w.fields.mark}</button
      >
    {/if}
  </div>
</div>
