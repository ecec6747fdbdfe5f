<!--
  @component The sketch of a site: squared paper or a picture, areas as outlines, spots in their walking order, a scale.
  What can be pressed on it depends on the tool in hand.
-->
<script lang="ts">
  import { areaOf, formatGround, type Outline, type Point, known } from '$lib/core';
  import type { SiteDetail } from '$lib/contract/records/ground';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import { draggable } from '../kit/handle';
  import { nearer, WHOLE, zoomable, type Zoom } from '../kit/zoom';
  import AreaLabel from './AreaLabel.svelte';
  import AreaSpots from './AreaSpots.svelte';
  import DrawnOutline from './DrawnOutline.svelte';
  import { pressByKey } from './keys';
  import OutlineCorners from './OutlineCorners.svelte';
  import SheetPaper from './SheetPaper.svelte';
  import ZoomButtons from './ZoomButtons.svelte';
  import SheetScale from './SheetScale.svelte';
  import { boxOf, pathOf, sheetOf, toPlace, toPx, viewOf, type Box } from './view';

  type Area = SiteDetail['areas'][number];
  type Props = {
    site: SiteDetail;
    format: Format;
    /** What a press on the paper does. */
    tool: 'look' | 'draw' | 'spot' | 'scale' | 'still';
    /** Area that is worked on. */
    areaId?: string | null;
    /** Its outline while a corner is off its kept place. */
    moved?: Outline | null;
    wrong?: boolean;
    /** An outline that is being drawn; or the two points of a scale. */
    drawn?: Outline;
    /** Spot to go to next. */
    nextSpotId?: string | null;
    onpaper?: (place: Point) => void;
    onarea?: (areaId: string) => void;
    onclose?: () => void;
    oncorner?: (outline: Point[], done: boolean) => void;
    onspot?: (spotId: string, place: Point) => void;
  };
  let {
    site,
    format,
    tool,
    areaId = null,
    moved = null,
    wrong = false,
    drawn = [],
    nextSpotId = null,
    onpaper,
    onarea,
    onclose,
    oncorner,
    onspot
  }: Props = $props();

  const uid = $props.id();
  /** Width it is drawn at before it knows its own, px. */
  const DESK_PX = 820;
  let width = $state(DESK_PX);
  let zoom = $state.raw<Zoom>(WHOLE);
  /** The sheet does not slide under the hand: while something is dragged its frame stays. */
  let frozen = $state<Box>();
  const pressing = $derived(tool === 'draw' || tool === 'scale' || tool === 'spot');
  const box = $derived(frozen ?? boxOf(site, pressing ? [] : drawn));
  const sheet = $derived(sheetOf(box, width || DESK_PX));
  const view = $derived(viewOf(box, width || DESK_PX, zoom));
  const unit = $derived(format.profile.length);
  const open = $derived(site.areas.find((a) => a.id === areaId));
  const outlineOf = (area: Area): Outline => (area.id === areaId && moved ? moved : area.outline);
  const corners = $derived(open && tool === 'look' && oncorner ? outlineOf(open) : []);

  /** Whether an area is drawn large enough for dots beside its letters. */
  const dotted = (outline: Outline) => Math.sqrt(areaOf(outline)) * view.pxPerM > 85;
  const nameOf = (area: Area) =>
    t.ground.areaOf(area.code, area.name, formatGround(areaOf(outlineOf(area)), unit));

  const placesOf = (area: Area) => area.spots.map((s): Point => [s.x, s.y]);

  let paper: SVGSVGElement;
  function placeOf(event: { clientX: number; clientY: number }): Point {
    const at = paper.getBoundingClientRect();
    return toPlace(view, event.clientX - at.left, event.clientY - at.top);
  }

  /** A spot that is off its kept place, in the hand. */
  let spotInHand = $state.raw<{ id: string; place: Point }>();
  /** Spots as they are drawn: one that is dragged where the hand is. */
  const spotsOf = (area: Area) =>
    area.spots.map((s) =>
      spotInHand?.id === s.id ? { ...s, x: spotInHand.place[0], y: spotInHand.place[1] } : s
    );

  /** Lets something be dragged over the sketch, whose frame stays meanwhile. */
  function over(at: () => Point, onmove: (place: Point) => void, onlet: () => void) {
    return draggable({
      within: () => paper,
      at: () => {
        const [x, y] = toPx(view, at());
        return { x, y };
      },
      onmove: (to) => onmove(toPlace(view, to.x, to.y)),
      onheld: (held) => {
        frozen = held ? box : undefined;
        if (!held) onlet();
      }
    });
  }
  function dragSpot(id: string) {
    const spot = () =>
      known(
        open?.spots.find((s) => s.id === id),
        'a spot is dragged while its area is open'
      );
    return over(
      () => [spot().x, spot().y],
      (place) => {
        if (spotInHand || Math.hypot(place[0] - spot().x, place[1] - spot().y) > 0.01)
          spotInHand = { id, place };
      },
      () => {
        if (spotInHand) onspot?.(id, spotInHand.place);
        spotInHand = undefined;
      }
    );
  }
  function dragCorner(index: number) {
    const moveTo = (place: Point, done: boolean) =>
      oncorner?.(
        corners.map((c, i) => (i === index ? place : c)),
        done
      );
    return over(
      () => corners[index],
      (place) => moveTo(place, false),
      () => moveTo(corners[index], true)
    );
  }
</script>

<div class="holder" bind:clientWidth={width}>
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions (every tool has a way by keys beside the sheet) -->
  <svg
    bind:this={paper}
    viewBox="0 0 {view.width} {view.height}"
    width={view.width}
    height={view.height}
    role="group"
    aria-label={t.ground.sketchOf(site.name)}
    class={tool}
    class:zoomed={zoom.k > 1}
    onclick={(e) => pressing && onpaper?.(placeOf(e))}
    {@attach zoomable({
      sheet: () => sheet,
      zoom: () => zoom,
      slides: () => tool !== 'draw',
      onzoom: (to) => (zoom = to)
    })}
  >
    <SheetPaper {view} backdrop={site.sketch.backdrop} hatch={uid} />

    {#each site.areas as area (area.id)}
      {@const outline = outlineOf(area)}
      {@const here = area.id === areaId}
      {@const loose = here && tool === 'look' && onspot !== undefined}
      {#if onarea && tool === 'look'}
        <path
          class="area"
          class:here
          class:wrong={here && wrong}
          d={pathOf(view, outline)}
          role="button"
          tabindex="0"
          aria-label={nameOf(area)}
          aria-pressed={here}
          onclick={() => onarea(area.id)}
          onkeydown={(e) => pressByKey(e, () => onarea(area.id))}
        />
      {:else}
        <path class="area" class:here d={pathOf(view, outline)} aria-label={nameOf(area)} role="img" />
      {/if}
      <path class="hatch" d={pathOf(view, outline)} fill="url(#{uid}-{area.purpose})" aria-hidden="true" />
      {#if here || (!areaId && dotted(outline))}
        <AreaSpots
          {view}
          spots={spotsOf(area)}
          near={here}
          {nextSpotId}
          drag={loose ? dragSpot : undefined}
          onmove={onspot}
        />
      {/if}
    {/each}

    {#each site.areas.filter((a) => a.id !== areaId) as area (area.id)}
      <AreaLabel {area} {view} {unit} spots={!areaId && dotted(area.outline) ? placesOf(area) : []} />
    {/each}

    {#if oncorner}
      <OutlineCorners {view} {corners} drag={dragCorner} onchange={(outline) => oncorner(outline, true)} />
    {/if}
    {#if drawn.length > 0}
      <DrawnOutline
        {view}
        {drawn}
        onclose={tool === 'draw' ? onclose : undefined}
        dotPx={tool === 'scale' ? 7 : 4.5}
      />
    {/if}
    <SheetScale {view} {unit} bearing={site.sketch.earth?.bearing ?? null} />
  </svg>
  {#if tool !== 'still'}
    <ZoomButtons whole={zoom.k <= 1} onzoom={(by) => (zoom = nearer(zoom, by, sheet))} />
  {/if}
</div>

<style>
  .holder {
    position: relative;
    min-width: 0;
    overflow: hidden;
    border: var(--line-strong) solid var(--ink);
    background: var(--sheet);
  }
  svg {
    display: block;
    touch-action: pan-y;
    user-select: none;
  }
  svg.zoomed,
  svg.draw,
  svg.scale,
  svg.spot {
    touch-action: none;
  }
  svg.zoomed.look {
    cursor: grab;
  }
  svg.draw,
  svg.spot,
  svg.scale {
    cursor: crosshair;
  }
  .area {
    fill: var(--paper);
    fill-opacity: 0.7;
    stroke: var(--ink);
    stroke-width: 1.6;
    stroke-linejoin: round;
  }
  svg.look .area[role='button'] {
    cursor: pointer;
  }
  .area.here {
    fill-opacity: 0.8;
    stroke-width: 3;
  }
  .area.wrong {
    stroke: var(--alarm);
    fill: var(--alarm-wash);
  }
  .area:focus-visible {
    outline: none;
    stroke: var(--pen);
    stroke-width: 4;
  }
  .hatch {
    pointer-events: none;
  }
  /* What can be taken hold of on the sheet has room for a thumb, and shows where the keys are. */
  .holder :global(.grip) {
    fill: transparent;
    stroke: none;
  }
  .holder :global(g:focus-visible) {
    outline: none;
  }
  .holder :global(g:focus-visible .grip) {
    stroke: var(--pen);
    stroke-width: 3;
  }
  @media print {
    .holder {
      border: var(--line) solid black;
    }
  }
</style>
