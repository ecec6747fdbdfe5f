<!-- @component The shelf: every jar in progress, drawn to one scale, with what it waits for underneath. -->
<script lang="ts">
  import type { Format } from '../format';
  import { picked } from '../state/picked.svelte';
  import { t } from '../strings';
  import { drawnSizeMm } from '../vessel/outline';
  import ShelfJar from './ShelfJar.svelte';
  import { byUrgency, type JarView } from './view';

  type Props = { views: JarView[]; now: number; format: Format };
  let { views, now, format }: Props = $props();

  /** Room for the drawings on a 1280 x 800 screen, px; one scale for all vessels. */
  const ROOM = { height: 392, width: 1200, beside: 60 };
  const SMALLEST = 0.95;
  const LARGEST = 2.2;

  const sizes = $derived(views.map((v) => drawnSizeMm(v.jar.vessel)));
  const scale = $derived.by(() => {
    const tall = Math.max(...sizes.map((s) => s.heightMm));
    const wide = sizes.reduce((sum, s) => sum + s.widthMm, 0);
    const byWidth = (ROOM.width - views.length * ROOM.beside) / wide;
    return Math.max(SMALLEST, Math.min(LARGEST, ROOM.height / tall, byWidth));
  });
  const head = $derived(byUrgency(views)[0]);

  let list: HTMLOListElement | undefined = $state();
  /** On a narrow screen the shelf slides sideways: the due jar comes to the middle. */
  const headId = $derived(head?.jar.id);
  $effect(() => {
    const item = headId && list?.querySelector<HTMLElement>(`[data-jar="${headId}"]`);
    if (item && list && list.scrollWidth > list.clientWidth) {
      list.scrollTo({ left: item.offsetLeft - (list.clientWidth - item.offsetWidth) / 2 });
    }
  });
</script>

<ol class="shelf plain-list" aria-label={t.bench.shelf} bind:this={list}>
  {#each views as view, i (view.jar.id)}
    <li data-jar={view.jar.id}>
      <ShelfJar
        {view}
        {now}
        {format}
        {scale}
        isHead={view === head}
        isPicked={picked.id === view.jar.id}
        number={i + 1}
      />
    </li>
  {/each}
</ol>

<style>
  .shelf {
    display: grid;
    grid-auto-flow: column;
    grid-auto-columns: minmax(168px, auto);
    grid-template-rows: minmax(300px, 1fr) auto auto;
    overflow-x: auto;
    padding-top: 22px;
    scrollbar-width: thin;
    scroll-snap-type: x proximity;
  }
  li {
    display: grid;
    grid-row: span 3;
    grid-template-rows: subgrid;
    scroll-snap-align: center;
  }
</style>
