<!-- @component What there is to practise, as things on a shelf: a jar, the triangle, a cylinder, a sheet. -->
<script lang="ts">
  import { STANDARD_VESSELS, known, type NamedVessel } from '$lib/core';
  import { t } from '$lib/words';
  import SmallTriangle from '../triangle/SmallTriangle.svelte';
  import VesselDrawing from '../vessel/VesselDrawing.svelte';

  type Props = {
    /** Whether whoever looks may make lessons, and see what was answered. */
    teaches: boolean;
  };
  let { teaches }: Props = $props();

  const w = t.practice.rooms;
  const jar = known(
    STANDARD_VESSELS.find((v) => v.id === 'jar-litre'),
    'it ships'
  );
  const cylinder = known(
    STANDARD_VESSELS.find((v) => v.id === 'cylinder-1000'),
    'it ships'
  );
  const HIGH_PX = 190;
</script>

{#snippet glass(
  vessel: NamedVessel,
  soilMm: number,
  waterMm: number,
  layers: { layer: 'sand' | 'silt'; topMm: number }[]
)}
  <VesselDrawing
    {vessel}
    scale={HIGH_PX / vessel.innerHeightMm}
    code="P"
    {soilMm}
    {waterMm}
    lid={false}
    tapeRoom={0}
    turbidity={[0.15, 0.45, 0.7]}
    {layers}
  />
{/snippet}
{#snippet drawnJar()}
  {@render glass(jar, 43, 128, [
    { layer: 'sand', topMm: 18 },
    { layer: 'silt', topMm: 32 }
  ])}
{/snippet}
{#snippet drawnTriangle()}
  <div class="w-[190px]" aria-hidden="true">
    <SmallTriangle cells={[{ sand: 42, clay: 20, count: 1 }]} label="" />
  </div>
{/snippet}
{#snippet drawnCylinder()}
  {@render glass(cylinder, 20, 360, [{ layer: 'silt', topMm: 14 }])}
{/snippet}
{#snippet drawnSheet()}
  <svg width="140" height={HIGH_PX} aria-hidden="true">
    <rect x="4" y="6" width="128" height={HIGH_PX - 8} class="paper" />
    {#each [34, 62, 90, 118, 146] as y, i (y)}
      <rect x="18" y={y - 8} width="11" height="11" class="box" />
      {#if i < 3}<path d="M20 {y - 2}l3 4l6 -9" class="tick" />{/if}
      <path d="M38 {y}h{i % 2 ? 62 : 78}" class="rule" />
    {/each}
  </svg>
{/snippet}

<ul class="plain-list shelf grid grid-cols-4 gap-x-6 max-md:grid-cols-1 max-md:gap-y-6">
  {#each [{ ...w.jar, href: '/practice/jar', drawn: drawnJar }, { ...w.drills, href: '/practice/drills', drawn: drawnTriangle }, { ...w.cylinder, href: '/practice/cylinder', drawn: drawnCylinder }, ...(teaches ? [{ ...w.lessons, href: '/practice/lessons', drawn: drawnSheet }] : [])] as room (room.href)}
    <li class="grid grid-rows-[210px_auto_1fr] max-md:grid-rows-[auto_auto_auto]">
      <span class="stand max-md:hidden">{@render room.drawn()}</span>
      <a class="link ink font-head text-2xl font-[640] pt-5 max-md:pt-0" href={room.href}>{room.name}</a>
      <p class="faded mt-1 pr-4">{room.what}</p>
    </li>
  {/each}
</ul>

<style>
  .stand {
    display: flex;
    align-items: flex-end;
    margin-bottom: var(--spacing-3);
    box-shadow:
      0 9px 0 var(--shelf),
      0 11px 0 var(--shelf-edge);
  }
  .shelf {
    column-gap: 0;
  }
  .paper {
    fill: var(--label);
    stroke: var(--tape-edge);
  }
  .box {
    fill: none;
    stroke: var(--rule);
    stroke-width: 1.4;
  }
  .tick {
    fill: none;
    stroke: var(--pen);
    stroke-width: 2.4;
  }
  .rule {
    stroke: var(--hair);
    stroke-width: 5;
  }
</style>
