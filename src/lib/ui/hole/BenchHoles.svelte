<!-- @component Holes that are under way, cut open in the ground under the bench, each with what it waits for. -->
<script lang="ts">
  import { waterNow, type HoleView } from '$lib/workbench/holes';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import BenchRows from '../kit/BenchRows.svelte';
  import HoleDrawing from './HoleDrawing.svelte';
  import HolePress from './HolePress.svelte';

  type Props = { views: readonly HoleView[]; now: number; format: Format };
  let { views, now, format }: Props = $props();
  const of = ({ hole, step }: HoleView) => ({
    id: hole.id,
    code: hole.code,
    href: `/holes/${hole.id}`,
    name: hole.areaName,
    aside: hole.areaName,
    does: step ? t.hole.short[step.kind] : ''
  });
</script>

<BenchRows label={t.hole.inGround} {views} {of} columns="grid-cols-[132px_auto]" {now} {format}>
  {#snippet drawing(view)}
    <HoleDrawing
      code={view.hole.code}
      depthMm={view.hole.depth.mm}
      widthMm={view.hole.width.mm}
      waterMm={waterNow(view, now)}
      {format}
      small
    />
  {/snippet}
  {#snippet press(view)}<HolePress {view} {format} short />{/snippet}
</BenchRows>
