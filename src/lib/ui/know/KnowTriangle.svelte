<!--
  @component The triangle as a thing to work with: many tests as dots, one soil in hand that can be dragged, the reading
  lines under the pointer, replicates joined, arrows from before to after. It draws and reports; it works nothing out.
-->
<script lang="ts">
  import { keyStep } from '../kit/handle';
  import { quadtree } from 'd3-quadtree';
  import { onMount } from 'svelte';
  import type { DensityGrid, Fractions, SystemId } from '$lib/core';
  import { drawnClasses, frameOf, ontoPaper, readingLines } from '$lib/workbench/triangle/frame';
  import { along, NAME_LINE, placeName } from '$lib/workbench/triangle/labels';
  import { regionShape } from '../triangle/region';
  import TriangleGround from '../triangle/TriangleGround.svelte';
  import { arrowHead, dotsPath, paintDots } from './dots';
  import { zoomed, type View } from './zoom';

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
  let view = $state.raw<View>({ k: 1, x: 0, y: 0 });
  const box = $derived(
    `${view.x} ${view.y} ${(frame.width / view.k).toFixed(2)} ${(frame.height / view.k).toFixed(2)}`
  );
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
  const names = $derived.by(() => {
    // Names give way to dots, as long as these are few enough to be seen one by one.
    const crowd = placed.length <= SEEN_ONE_BY_ONE ? placed : [];
    const obstacles = [
      ...(at ? [{ ...at, clear: 14 }, ...ownLines.flatMap((line) => along(at, line.to, 1))] : []),
      ...crowd.map(({ x, y }) => ({ x, y, clear: 4, soft: true }))
    ];
    return classes
      .filter((c) => c.area * inType * inType > NAMED_AREA || c.id === classId)
      .map((c) => ({ ...c, ...placeName(c.words, c.corners, obstacles) }));
  });
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
  onMount(() => {
    // Wheel must be able to keep the page from scrolling while it zooms.
    const turn = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.shiftKey) return;
      event.preventDefault();
      zoom(event.deltaY < 0 ? 1.25 : 0.8, placeOf(event));
    };
    svg.addEventListener('wheel', turn, { passive: false });
    return () => svg.removeEventListener('wheel', turn);
  });

  function placeOf(event: MouseEvent) {
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM()!.inverse());
    return { x: p.x, y: p.y };
  }
  const inside = (f: Fractions) => f.sand >= -0.6 && f.silt >= -0.6 && f.clay >= -0.6;
  let drag = $state<'point' | { x: number; y: number }>();
  function hover(event: PointerEvent) {
    const p = placeOf(event);
    const f = frame.back(p);
    if (drag === 'point') {
      onmove(ontoPaper(f));
      return;
    }
    if (drag) {
      view = zoomed({ ...view, x: view.x + drag.x - p.x, y: view.y + drag.y - p.y }, 1, p, frame);
      return;
    }
    const reach = (NEAR_PX * (frame.width / view.k)) / wide;
    overDot = tree.find(p.x, p.y, reach)?.dot;
    over = overDot ? overDot.f : inside(f) ? ontoPaper(f) : undefined;
    onhover(over, overDot);
  }
  function press(event: PointerEvent) {
    const p = placeOf(event);
    const reach = (16 * (frame.width / view.k)) / wide;
    if (at && Math.hypot(p.x - at.x, p.y - at.y) < reach) drag = 'point';
    else if (view.k > 1) drag = p;
    if (drag) svg.setPointerCapture(event.pointerId);
    over = undefined;
    onhover(undefined, undefined);
  }
  function release(event: PointerEvent) {
    const p = placeOf(event);
    const still = drag !== 'point' && (!drag || Math.hypot(p.x - drag.x, p.y - drag.y) < 3);
    drag = undefined;
    if (!still) return;
    const reach = (NEAR_PX * (frame.width / view.k)) / wide;
    const dot = tree.find(p.x, p.y, reach)?.dot;
    if (dot) onpick(dot.id);
    else if (inside(frame.back(p))) onmove(ontoPaper(frame.back(p)));
  }
  function leave() {
    over = overDot = undefined;
    onhover(undefined, undefined);
  }
  export function zoom(
    by: number,
    about = { x: view.x + frame.width / view.k / 2, y: view.y + frame.height / view.k / 2 }
  ) {
    view = zoomed(view, by, about, frame);
  }
  export function zoomAll() {
    view = { k: 1, x: 0, y: 0 };
  }
  function key(event: KeyboardEvent) {
    const step = event.shiftKey ? 0.1 : 1;
    const keys = keyStep(event);
    if (keys) {
      // To the right sand gives way to silt, upward both to clay.
      const [right, up] = [keys.right * step, (keys.up + 10 * keys.page) * step];
      const { sand, silt, clay } = point ?? { sand: 40, silt: 40, clay: 20 };
      onmove(ontoPaper({ sand: sand - right - up / 2, silt: silt + right - up / 2, clay: clay + up }));
    } else if (event.key === '+' || event.key === '=') zoom(1.5, at);
    else if (event.key === '-') zoom(1 / 1.5, at);
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
    svg.parentElement!.append(shelf);
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
    onpointermove={hover}
    onpointerdown={press}
    onpointerup={release}
    onpointerleave={leave}
    onkeydown={key}
  >
    <rect x="0" y="0" width={frame.width} height={frame.height} fill="none" pointer-events="all" />
    {#each names as c (c.id)}
      <text
        x={c.x}
        y={c.y - ((c.words.length - 1) * NAME_LINE) / 2 / inType + 4 / inType}
        text-anchor="middle"
        class="name"
        class:own={c.id === classId}
      >
        {#each c.words as word, i (word + i)}<tspan x={c.x} dy={i === 0 ? 0 : NAME_LINE / inType}
            >{word}</tspan
          >{/each}
      </text>
    {/each}
    {#each stars as star, i (i)}
      {@const mean = frame.place(star.mean)}
      {#each star.members as member, k (k)}
        {@const end = frame.place(member)}
        <path d="M{mean.x} {mean.y}L{end.x} {end.y}" class="join" />
      {/each}
      <path
        d="M{mean.x - 5 / view.k} {mean.y}h{10 / view.k}M{mean.x} {mean.y - 5 / view.k}v{10 / view.k}"
        class="mean"
      />
    {/each}
    {#each arrows as arrow (arrow.areaId)}
      {@const a = frame.place(arrow.from)}
      {@const b = frame.place(arrow.to)}
      <path d="M{a.x} {a.y}L{b.x} {b.y}" class="change" />
      <path d={arrowHead(a, b, 9 / view.k)} class="change" />
      <text x={b.x + 8 / view.k} y={b.y - 6 / view.k} class="what">{arrow.name}</text>
    {/each}
    {#if region}<path d={regionShape(region, frame)} class="region" />{/if}
    {#if shownAt}
      {#each lines as line (line.key)}
        <path
          d="M{shownAt.x} {shownAt.y}L{line.to.x} {line.to.y}"
          class="reading"
          class:over={over !== undefined}
        />
      {/each}
    {/if}
    {#if from && at}
      {@const a = frame.place(from)}
      {#if Math.hypot(a.x - at.x, a.y - at.y) > 1}
        <path d="M{a.x} {a.y}L{at.x} {at.y}" class="drag" />
        <circle cx={a.x} cy={a.y} r={6 / view.k} class="was" />
      {/if}
    {/if}
    {#if at}
      <circle cx={at.x} cy={at.y} r={22 / view.k} class="grip" />
      <circle cx={at.x} cy={at.y} r={8 / view.k} class="point" />
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
    font-size: calc(var(--text-xs) / var(--k));
  }
  text {
    font-family: var(--face-text);
    pointer-events: none;
  }
  .name {
    fill: var(--faded);
  }
  .name.own {
    fill: var(--ink);
    font-weight: 750;
  }
  .what {
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
  .region {
    fill: var(--pen);
    fill-opacity: 0.2;
    stroke: var(--pen);
    stroke-width: 1.5;
  }
  .join {
    stroke: var(--ink);
    stroke-width: 1.2;
    fill: none;
  }
  .mean {
    stroke: var(--ink);
    stroke-width: 2.4;
    fill: none;
  }
  .change {
    stroke: var(--alarm);
    stroke-width: 2.2;
    fill: none;
    stroke-linecap: round;
  }
  .drag {
    stroke: var(--pen);
    stroke-width: 2;
    stroke-dasharray: 5 4;
    fill: none;
  }
  .was {
    fill: var(--sheet);
    stroke: var(--pen);
    stroke-width: 2;
  }
  .grip {
    fill: transparent;
    touch-action: none;
    cursor: grab;
  }
  .point {
    pointer-events: none;
    fill: var(--pen);
    stroke: var(--sheet);
    stroke-width: 2;
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
