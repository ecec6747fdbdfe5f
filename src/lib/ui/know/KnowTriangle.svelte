<!--
  @component The triangle as a thing to work with: many tests as dots, one soil in hand that can be dragged, the reading
  lines under the pointer, replicates joined, arrows from before to after. It draws and reports; it works nothing out.
-->
<script lang="ts">
  import { known } from '$lib/core';
  import { keyStep } from '../kit/handle';
  import { inSight, nearer, WHOLE, zoomable, type Zoom } from '../kit/zoom';
  import { quadtree } from 'd3-quadtree';
  import type { DensityGrid, Fractions, SystemId } from '$lib/core';
  import { drawnClasses, frameOf, ontoPaper, readingLines } from '$lib/workbench/triangle/frame';
  import Ink from '../triangle/Ink.svelte';
  import TriangleGround from '../triangle/TriangleGround.svelte';
  import type { PointCell } from '$lib/workbench/points';
  import { dotsPath, paintDots } from './dots';
  import PointShade from './PointShade.svelte';
  import SoilInHand from './SoilInHand.svelte';
  import TriangleCompared from './TriangleCompared.svelte';
  import TriangleNames from './TriangleNames.svelte';

  type Dot = { id: string; code: string; f: Fractions };
  type Props = {
    system: SystemId;
    /** The soil in hand, and where it stood before it was dragged. */
    point?: Fractions;
    from?: Fractions;
    classId?: string;
    probabilities?: Record<string, number>;
    region?: DensityGrid;
    dots: Dot[];
    /** Where all lie, where there are more than dots. */
    cells?: readonly PointCell[];
    stars?: { mean: Fractions; members: Fractions[] }[];
    arrows?: { areaId: string; name: string; from: Fractions; to: Fractions }[];
    /** What it says to those who cannot see it. */
    label: string;
    value: string;
    onhover: (f: Fractions | undefined, dot: Dot | undefined) => void;
    onmove: (f: Fractions) => void;
    onpick: (id: string) => void;
    onback: () => void;
  };
  let {
    system,
    point,
    from,
    classId,
    probabilities,
    region,
    dots,
    cells = [],
    stars = [],
    arrows = [],
    label,
    value,
    onhover,
    onmove,
    onpick,
    onback
  }: Props = $props();

  const frame = frameOf(560);
  const NAMED_AREA = 110;
  /** Dots beyond this number are a cloud, which no name can keep clear of. */
  const SEEN_ONE_BY_ONE = 300;
  /** How near the pointer must be to a dot to mean it, px on the screen. */
  const NEAR_PX = 9;

  /** Width on the screen, px. */
  let wide = $state(0);
  const sheet = { width: frame.width, height: frame.height, most: 12 };
  let near = $state.raw<Zoom>(WHOLE);
  const view = $derived({ k: near.k, ...inSight(near, sheet) });
  const box = $derived(`${view.x} ${view.y} ${view.width.toFixed(2)} ${view.height.toFixed(2)}`);
  /** Type is a little larger on a narrow screen, and stays as large when one comes closer. */
  const inType = $derived(view.k * (wide > 0 && wide < 480 ? 0.7 : 1));
  const classes = $derived(drawnClasses(system, frame));
  const at = $derived(point && frame.place(point));
  let over = $state.raw<Fractions>();
  let overDot = $state.raw<Dot>();
  const shown = $derived(over ?? point);
  const shownAt = $derived(shown && frame.place(shown));
  const lines = $derived(shown ? readingLines(shown, frame) : []);
  const ownLines = $derived(point ? readingLines(point, frame) : []);
  const placed = $derived(dots.map((dot) => ({ ...frame.place(dot.f), dot })));
  const tree = $derived(
    quadtree<(typeof placed)[number]>()
      .x((d) => d.x)
      .y((d) => d.y)
      .addAll(placed)
  );

  let svg: SVGSVGElement;
  let ground: SVGSVGElement;
  let canvas: HTMLCanvasElement;

  $effect(() => {
    if (wide > 0) paintDots(canvas, placed, { frame, view, wide });
  });
  function placeOf(event: MouseEvent) {
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(
      known(svg.getScreenCTM(), 'the pointer is over it, so it is drawn').inverse()
    );
    return { x: p.x, y: p.y };
  }
  const inside = (f: Fractions) => f.sand >= -0.6 && f.silt >= -0.6 && f.clay >= -0.6;
  let held = $state(false);
  /** What lies within so many px of a place on the screen. */
  const within = (px: number) => (px * view.width) / wide;
  function hover(event: PointerEvent) {
    if (held || (near.k > 1 && event.buttons > 0)) return leave();
    const p = placeOf(event);
    const f = frame.back(p);
    overDot = tree.find(p.x, p.y, within(NEAR_PX))?.dot;
    over = overDot ? overDot.f : inside(f) ? ontoPaper(f) : undefined;
    onhover(over, overDot);
  }
  function press(event: MouseEvent) {
    const p = placeOf(event);
    const dot = tree.find(p.x, p.y, within(NEAR_PX))?.dot;
    if (dot) onpick(dot.id);
    else if (inside(frame.back(p))) onmove(ontoPaper(frame.back(p)));
  }
  function leave() {
    over = overDot = undefined;
    onhover(undefined, undefined);
  }
  export function zoom(by: number, about?: { x: number; y: number }) {
    near = nearer(near, by, sheet, about);
  }
  export function zoomAll() {
    near = WHOLE;
  }
  /** Where the soil in hand stands in the window. */
  function inWindow() {
    if (!at) return undefined;
    const [x, y] = near.apply([at.x, at.y]);
    return { x, y };
  }
  function key(event: KeyboardEvent) {
    const step = event.shiftKey ? 0.1 : 1;
    const keys = keyStep(event);
    if (keys) {
      // To the right sand gives way to silt, upward both to clay.
      const [right, up] = [keys.right * step, (keys.up + 10 * keys.page) * step];
      const { sand, silt, clay } = point ?? { sand: 40, silt: 40, clay: 20 };
      onmove(ontoPaper({ sand: sand - right - up / 2, silt: silt + right - up / 2, clay: clay + up }));
    } else if (event.key === '+' || event.key === '=') zoom(1.5, inWindow());
    else if (event.key === '-') zoom(1 / 1.5, inWindow());
    else if (event.key === '0') zoomAll();
    else if (event.key === 'Escape') onback();
    else return;
    event.preventDefault();
    event.stopPropagation();
  }

  /** One drawing of it all, for a file: what is painted becomes a path. Taken away again by `done`. */
  export function picture(): { svg: SVGSVGElement; done: () => void } {
    const whole = svg.cloneNode(false) as SVGSVGElement;
    whole.append(
      ...[...ground.children].map((c) => c.cloneNode(true)),
      dotsPath(placed, getComputedStyle(canvas).color),
      ...[...svg.children].map((c) => c.cloneNode(true))
    );
    const shelf = document.createElement('div');
    shelf.style.cssText = 'position: absolute; left: -9999px; width: 560px';
    shelf.append(whole);
    svg.parentElement?.append(shelf);
    return { svg: whole, done: () => shelf.remove() };
  }
</script>

<div
  class="know relative w-full"
  bind:clientWidth={wide}
  style:--k={inType}
  style:aspect-ratio="{frame.width} / {frame.height}"
>
  <svg class="absolute inset-0 w-full h-full" bind:this={ground} viewBox={box} aria-hidden="true">
    <TriangleGround {frame} {classes} {probabilities} ownId={classId} />
    {#if cells.length > 0}<PointShade {cells} {frame} />{/if}
  </svg>
  <canvas
    class="absolute inset-0 w-full h-full text-ink pointer-events-none"
    bind:this={canvas}
    aria-hidden="true"
  ></canvas>
  <svg
    class="absolute inset-0 w-full h-full"
    bind:this={svg}
    id="triangle"
    class:near={view.k > 1}
    viewBox={box}
    role="slider"
    tabindex="0"
    aria-label={label}
    aria-valuemin={0}
    aria-valuemax={100}
    aria-valuenow={point?.clay ?? 0}
    aria-valuetext={value}
    {@attach zoomable({ sheet: () => sheet, zoom: () => near, onzoom: (to) => (near = to) })}
    onpointermove={hover}
    onpointerdown={leave}
    onclick={press}
    onpointerleave={leave}
    onkeydown={key}
  >
    <rect x="0" y="0" width={frame.width} height={frame.height} fill="none" pointer-events="all" />
    <TriangleNames
      classes={classes.filter((c) => c.area * inType * inType > NAMED_AREA || c.id === classId)}
      ownId={classId}
      {at}
      lines={ownLines}
      dots={placed.length <= SEEN_ONE_BY_ONE ? placed : []}
      {inType}
    />
    <TriangleCompared {frame} k={view.k} {stars} {arrows} />
    {#if region}<Ink {region} {frame} />{/if}
    {#if shownAt}
      {#each lines as line (line.key)}
        <path
          d="M{shownAt.x} {shownAt.y}L{line.to.x} {line.to.y}"
          class="reading"
          class:over={over !== undefined}
        />
      {/each}
    {/if}
    {#if point}
      <SoilInHand
        within={() => svg}
        {frame}
        {point}
        {from}
        k={view.k}
        {onmove}
        onheld={(now) => (held = now)}
      />
    {/if}
    {#if over && shownAt}
      <circle cx={shownAt.x} cy={shownAt.y} r={(overDot ? 6 : 3) / view.k} class="here" class:dot={overDot} />
      {#if overDot}
        <text x={shownAt.x + 11 / view.k} y={shownAt.y - 8 / view.k} class="what">{overDot.code}</text>
      {/if}
    {/if}
  </svg>
</div>

<style>
  svg:last-of-type {
    cursor: crosshair;
    /* A finger scrolls the page past the whole triangle, but never off the point it drags. */
    touch-action: pan-y;
  }
  svg.near {
    touch-action: none;
  }
  .know :global(path),
  .know :global(circle) {
    vector-effect: non-scaling-stroke;
  }
  .know :global(text) {
    font-family: var(--face-text);
    font-size: calc(var(--text-xs) / var(--k));
    pointer-events: none;
  }
  .know :global(.what) {
    fill: var(--ink);
    font-weight: 650;
    paint-order: stroke;
    stroke: var(--sheet);
    stroke-width: 3px;
  }
  .reading {
    stroke: var(--ink);
    stroke-width: 1.8;
    stroke-dasharray: 1.5 5;
    stroke-linecap: round;
    fill: none;
  }
  .reading.over {
    stroke: var(--pen);
  }
  .here {
    fill: var(--pen);
  }
  .here.dot {
    fill: none;
    stroke: var(--pen);
    stroke-width: 2.4;
  }
</style>
