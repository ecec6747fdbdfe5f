<!--
  @component The shelf: every jar in progress, drawn to one scale (a tall cylinder among jars smaller), with what it waits for underneath. More jars than
  one plank holds stand on further planks; on a narrow screen there is one plank that slides sideways.
-->
<script lang="ts">
  import { onMount } from 'svelte';
  import type { Format } from '$lib/words/format';
  import { picked } from '$lib/browser/picked.svelte';
  import { t } from '$lib/words';
  import { drawnSizeMm } from '../vessel/outline';
  import ShelfJar from './ShelfJar.svelte';
  import type { JarView } from '$lib/workbench/jars';
  import { justBefore, type BenchNow } from '$lib/workbench/steady';

  type Props = { bench: BenchNow; now: number; format: Format };
  let { bench, now, format }: Props = $props();

  const { views, head } = $derived(bench);

  /** Room for the drawings on a 1280 x 800 screen, px; one scale for all vessels. */
  const ROOM = { height: 392, heightOfTwo: 182, width: 1200, beside: 50 };
  const SMALLEST = 0.9;
  const LARGEST = 2.2;
  const ON_A_PLANK = 7;
  /** A vessel over so many mm stands out among jars, and is drawn at most so much taller than the tallest of them. */
  const TALL_MM = 300;
  const TALLER_BY = 1.25;
  /** The height that the scale goes by: of the jars, unless only cylinders stand here. */
  function rulingHeight(heights: number[]): number {
    const jars = heights.filter((mm) => mm <= TALL_MM);
    return Math.max(...(jars.length > 0 ? jars : heights));
  }
  const planks = $derived(Math.ceil(views.length / ON_A_PLANK));
  const perPlank = $derived(Math.ceil(views.length / planks));
  const scale = $derived.by(() => {
    const sizes = views.map((v) => drawnSizeMm(v.jar.vessel));
    const tall = rulingHeight(sizes.map((s) => s.heightMm));
    const plankMm = Array.from({ length: planks }, (_, i) =>
      sizes.slice(i * perPlank, (i + 1) * perPlank).reduce((sum, s) => sum + s.widthMm, 0)
    );
    const byWidth = (ROOM.width - perPlank * ROOM.beside) / Math.max(...plankMm);
    const byHeight = (planks > 1 ? ROOM.heightOfTwo : ROOM.height) / tall;
    return Math.max(SMALLEST, Math.min(LARGEST, byHeight, byWidth));
  });
  /** A cylinder among jars is drawn smaller than they are: to their scale it would leave them too small to read. */
  const scaleOf = (view: JarView) => {
    const heights = views.map((v) => drawnSizeMm(v.jar.vessel).heightMm);
    const own = drawnSizeMm(view.jar.vessel).heightMm;
    return scale * Math.min(1, (rulingHeight(heights) * TALLER_BY) / own);
  };

  /** Two planks are all that a screen shows; what stands below is drawn when the page is awake. */
  const drawnAtOnce = $derived(2 * perPlank);
  let awake = $state(false);
  onMount(() => (awake = true));

  let list: HTMLOListElement | undefined = $state();
  /** Where the shelf slides sideways, the due jar comes to the middle. */
  const headId = $derived(head?.jar.id);
  $effect(() => {
    const item = headId && list?.querySelector<HTMLElement>(`[data-jar="${headId}"]`);
    if (item && list && list.scrollWidth > list.clientWidth) {
      list.scrollTo({ left: item.offsetLeft - (list.clientWidth - item.offsetWidth) / 2 });
    }
  });
</script>

<ol
  class="shelf plain-list"
  class:single={planks === 1}
  style:--jars={perPlank}
  aria-label={t.bench.shelf}
  data-steady
  bind:this={list}
>
  {#each views as view, i (view.jar.id)}
    <li data-jar={view.jar.id}>
      <ShelfJar
        {view}
        {now}
        {format}
        scale={scaleOf(view)}
        isHead={view === head}
        before={justBefore(bench, view.jar.id, i)}
        isPicked={picked.id === view.jar.id}
        number={i + 1}
        drawn={awake || i < drawnAtOnce}
      />
    </li>
  {/each}
</ol>

<style>
  .shelf {
    position: relative;
    display: grid;
    grid-template-columns: repeat(var(--jars), minmax(0, 1fr));
    padding-top: var(--spacing-6);
    row-gap: 0;
  }
  .shelf.single {
    grid-template-rows: minmax(300px, 1fr) auto auto;
  }
  li {
    display: grid;
    grid-row: span 3;
    grid-template-rows: subgrid;
    min-width: 0;
  }
  @media (max-width: 1080px) {
    .shelf,
    .shelf.single {
      grid-auto-flow: column;
      grid-template-columns: none;
      grid-auto-columns: minmax(168px, auto);
      grid-template-rows: minmax(300px, 1fr) auto auto;
      overflow-x: auto;
      scrollbar-width: thin;
      scroll-snap-type: x proximity;
    }
    li {
      scroll-snap-align: center;
    }
  }
  @media (max-width: 640px) {
    .shelf,
    .shelf.single {
      --end: 18vw;
      grid-auto-columns: max-content;
      grid-template-rows: minmax(190px, 1fr) auto auto;
    }
    /* Room at both ends, so that the first and the last jar can come to the middle too; the plank goes on. */
    li:first-child {
      padding-left: var(--end);
    }
    li:last-child {
      padding-right: var(--end);
    }
    li:first-child :global(.board) {
      margin-left: calc(-1 * var(--end));
    }
    li:last-child :global(.board) {
      margin-right: calc(-1 * var(--end));
    }
  }
</style>
