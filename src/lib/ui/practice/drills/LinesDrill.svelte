<!-- @component The triangle: a point is to be put on given shares, or the shares of a point are to be read. -->
<script lang="ts">
  import { readNumber, type Fractions, type Given, type Task } from '$lib/core';
  import { t } from '$lib/words';
  import TextField from '../../fields/TextField.svelte';
  import KnowTriangle from '../../know/KnowTriangle.svelte';

  type Props = {
    task: Task<'lines'>;
    answered: boolean;
    ongive: (given: Given<'lines'> | undefined) => void;
  };
  let { task, answered, ongive }: Props = $props();
  const w = t.drills;
  let point = $state.raw<Fractions>();
  let texts = $state({ sand: '', silt: '', clay: '' });
  const PARTS = ['sand', 'silt', 'clay'] as const;
  function move(to: Fractions) {
    if (answered || task.way === 'read') return;
    point = to;
    ongive({ soil: to });
  }
  function typed() {
    const [sand, silt, clay] = PARTS.map((part) => readNumber(texts[part]));
    ongive([sand, silt, clay].every(Number.isFinite) ? { soil: { sand, silt, clay } } : undefined);
  }
  const shown = $derived(task.way === 'read' ? task.soil : answered ? task.soil : point);
</script>

<div class="flex flex-wrap gap-x-8 gap-y-4 items-end">
  <div class="w-[440px] max-w-full" class:bare={!answered}>
    <KnowTriangle
      system="usda"
      point={shown}
      from={answered && task.way === 'place' ? point : undefined}
      dots={[]}
      label={task.way === 'place' ? w.fields.placeAlt : w.fields.pointAlt}
      value={point && task.way === 'place'
        ? t.know.at(point.sand.toFixed(0), point.silt.toFixed(0), point.clay.toFixed(0))
        : t.know.none}
      onhover={() => {}}
      onmove={move}
      onpick={() => {}}
      onback={() => {}}
    />
  </div>
  {#if task.way === 'read'}
    <div class="grid gap-3 w-[10rem]">
      {#each PARTS as part (part)}
        <TextField
          label="{t.layer[part]}, %"
          bind:value={texts[part]}
          inputmode="decimal"
          maxlength={6}
          disabled={answered}
          oninput={typed}
        />
      {/each}
    </div>
  {/if}
</div>

<style>
  /* The lines are what is asked. */
  .bare :global(.reading) {
    display: none;
  }
</style>
