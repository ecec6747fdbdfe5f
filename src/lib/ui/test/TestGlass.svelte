<!-- @component The glass of a test as it stands, or as it was read. -->
<script lang="ts">
  import type { ReadingEntry } from '$lib/contract/records/reading';
  import { pictureOf, readLayers, type JarView } from '$lib/workbench/jars';
  import { tapesOf } from '$lib/workbench/tapes';
  import { drawnSizeMm } from '../vessel/outline';
  import VesselDrawing from '../vessel/VesselDrawing.svelte';

  type Props = {
    view: JarView;
    /** What was read of it last, or is in force. */
    entry: ReadingEntry | undefined;
    /** The moment it is shown at, ms UTC. */
    at: number;
  };
  let { view, entry, at }: Props = $props();

  const jar = $derived(view.jar);
  const picture = $derived(pictureOf(view, at));
  /** Once read, the glass shows the layers as they were read. */
  const layers = $derived(
    !entry || jar.status === 'running' || jar.status === 'ready' ? picture?.layers : readLayers(jar, entry)
  );
</script>

<div class="glass sticky top-[104px]">
  <VesselDrawing
    vessel={jar.vessel}
    scale={Math.min(2.5, 470 / drawnSizeMm(jar.vessel).heightMm)}
    code={jar.code}
    soilMm={jar.soilMm}
    waterMm={jar.waterMm}
    {layers}
    turbidity={jar.status === 'running' ? picture?.turbidity : undefined}
    tapes={tapesOf(view, picture, jar.status === 'running')}
    tapeRoom={70}
  />
  <div class="board" aria-hidden="true"></div>
</div>

<style>
  .board {
    height: 18px;
    background: linear-gradient(var(--shelf) 0 65%, var(--shelf-edge) 65% 100%);
    margin-right: var(--spacing-8);
  }
  @media (max-width: 900px) {
    .glass {
      position: static;
      display: flex;
      flex-direction: column;
      align-items: center;
      margin-bottom: var(--spacing-5);
    }
    .board {
      align-self: stretch;
      margin: 0;
    }
  }
  @media print {
    .glass {
      position: static;
      zoom: 0.6;
    }
  }
</style>
