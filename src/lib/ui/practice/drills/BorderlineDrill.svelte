<!-- @component A soil with its region on the triangle: its class is to be named, or the two that it lies between. -->
<script lang="ts">
  import { classifyTexture, textureSystems, type Given, type Task } from '$lib/core';
  import { t } from '$lib/words';
  import Triangle from '../../triangle/Triangle.svelte';

  type Props = {
    task: Task<'borderline'>;
    answered: boolean;
    ongive: (given: Given<'borderline'> | undefined) => void;
  };
  let { task, answered, ongive }: Props = $props();
  const w = t.drills;
  let picked = $state<string[]>([]);
  const nameOf = (id: string) => textureSystems.usda.classes.find((c) => c.id === id)?.name ?? id;
  function turn(id: string, on: boolean) {
    picked = on ? [...picked, id] : picked.filter((one) => one !== id);
    ongive(picked.length > 0 ? { classes: picked } : undefined);
  }
</script>

<div class="flex flex-wrap gap-x-8 gap-y-4 items-end">
  <div class="w-[430px] max-w-full">
    <Triangle
      point={task.soil}
      classId={answered ? classifyTexture('usda', task.soil).id : undefined}
      region={task.region}
      naming={task.choices}
      label={w.fields.pointAlt}
    />
  </div>
  <fieldset class="group" disabled={answered}>
    <legend class="sr-only">{w.ask.borderline()}</legend>
    {#each task.choices as id (id)}
      <label class="flex items-center gap-3 min-h-touch cursor-pointer">
        <input
          type="checkbox"
          class="checkbox"
          checked={picked.includes(id)}
          onchange={(e) => turn(id, e.currentTarget.checked)}
        />
        {nameOf(id)}
      </label>
    {/each}
  </fieldset>
</div>
