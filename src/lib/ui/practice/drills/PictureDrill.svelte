<!-- @component A picture of the bench camera with a tape to be moved to where a layer ends, or the answer that no line can be drawn. -->
<script lang="ts">
  import { cameraPlaces, type Given, type Task } from '$lib/core';
  import { t } from '$lib/words';
  import Slide from '../../kit/Slide.svelte';
  import TakenPicture from './TakenPicture.svelte';

  type Props = { task: Task<'picture'>; answered: boolean; ongive: (given: Given<'picture'>) => void };
  let { task, answered, ongive }: Props = $props();
  const w = t.drills;
  let mm = $state(8);
  let none = $state(false);
  const places = $derived(cameraPlaces(task.vessel, task.shot));
  const y = (height: number) => places.pixelOf(height)[1];
  const half = $derived(task.vessel.innerDiameterMm / 2);
  function move(to: number) {
    mm = to;
    none = false;
    ongive({ mm });
  }
  function say(no: boolean) {
    none = no;
    ongive({ mm: no ? null : mm });
  }
</script>

<div class="flex flex-wrap gap-x-8 gap-y-4 items-end">
  <TakenPicture {task}>
    {#if !none}
      <path d="M{places.pixelOf(mm, -half)[0]} {y(mm)}H{places.pixelOf(mm, half)[0] + 34}" class="tape" />
    {/if}
    {#if answered && task.trueMm !== null}
      <path
        d="M{places.pixelOf(task.trueMm, -half)[0]} {y(task.trueMm)}H{places.pixelOf(task.trueMm, half)[0]}"
        class="true"
      />
    {/if}
  </TakenPicture>
  <div class="grid gap-3 w-[20rem] max-w-full">
    {#if !answered}
      <Slide
        label="{w.fields.tape} {mm.toFixed(1)} mm"
        value={mm}
        min={0}
        max={task.waterMm}
        step={0.5}
        oninput={move}
      />
      <label class="flex items-center gap-3 min-h-touch cursor-pointer">
        <input
          type="checkbox"
          class="checkbox"
          checked={none}
          onchange={(e) => say(e.currentTarget.checked)}
        />
        {w.fields.none}
      </label>
    {/if}
  </div>
</div>

<style>
  .tape {
    stroke: var(--pen);
    stroke-width: 2.2;
  }
  .true {
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 5 4;
  }
</style>
