<!-- @component What follows for a bed: its holes, what hand and spade say, water, compost, and any other material. -->
<script lang="ts">
  import { bedFigures, type Figures, type Fractions, type GroundDrainage } from '$lib/core';
  import type { HoleRecord } from '$lib/contract/records/hole';
  import type { SampleRecord } from '$lib/contract/records/sample';
  import type { Format } from '$lib/words/format';
  import type { ActEntry } from './acting.svelte';
  import Compost from './Compost.svelte';
  import HandSaysPanel from './HandSaysPanel.svelte';
  import Holes from './Holes.svelte';
  import Material from './Material.svelte';
  import Watering from './Watering.svelte';

  type Props = {
    entry: ActEntry;
    data: {
      chosen: { code: string; sample: SampleRecord; area: { id: string; name: string } | null } | null;
      tests: readonly { id: string; code: string; name: string; fractions: Fractions }[];
      beside: { id: string; code: string; fractions: Fractions } | null;
      ground: readonly HoleRecord[];
    };
    soil: Fractions;
    organicPct: number;
    /** What it counts with. */
    figures: Figures;
    /** What the holes of its area say. */
    ground?: GroundDrainage;
    /** Told of the test that is to be watered beside this one. */
    onbeside: (id: string) => void;
    format: Format;
    now: number;
  };
  let {
    entry = $bindable(),
    data,
    soil,
    organicPct,
    figures,
    ground,
    onbeside,
    format,
    now
  }: Props = $props();
  const texture = $derived(bedFigures(soil, organicPct));
</script>

{#if data.chosen}
  <div class="grid grid-cols-2 gap-x-9 gap-y-6 items-start max-md:grid-cols-1 print:block">
    {#if data.ground.length > 0}
      <Holes
        holes={data.ground}
        {ground}
        textureMmH={texture.drains}
        code={data.chosen.code}
        {format}
        {now}
      />
    {/if}
    <HandSaysPanel
      sampleId={data.chosen.sample.id}
      says={data.chosen.sample.details.hand ?? []}
      figures={{ ...texture, ...(ground ? { drains: ground.mmH } : {}) }}
      silt={soil.silt}
    />
  </div>
{/if}
<Watering
  bind:entry
  {soil}
  {organicPct}
  {figures}
  groundMmH={ground?.mmH}
  code={data.chosen?.code}
  areaId={data.chosen?.sample.areaId}
  beside={data.beside}
  tests={data.tests}
  {onbeside}
  {format}
  {now}
/>
<Compost
  bind:entry
  {soil}
  {organicPct}
  {figures}
  byHoles={ground !== undefined}
  area={data.chosen?.area ?? undefined}
  {format}
  {now}
/>
<Material bind:entry {soil} {organicPct} {figures} tests={data.tests} {format} />
