<!-- @component Trial pieces that are under way, on their boards under the bench, each set with what it waits for. -->
<script lang="ts">
  import type { TrialView } from '$lib/workbench/trials';
  import { mixLine } from '$lib/words/trial';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import BenchRows from '../kit/BenchRows.svelte';
  import TrialDrawing from './TrialDrawing.svelte';
  import TrialPress from './TrialPress.svelte';

  type Props = { views: readonly TrialView[]; now: number; format: Format };
  let { views, now, format }: Props = $props();
  const of = ({ trial, step }: TrialView) => ({
    id: trial.id,
    code: trial.code,
    href: `/trials/${trial.id}`,
    name: trial.sampleName,
    aside: `${t.trial.made(trial.count, trial.kind)} · ${mixLine(trial)}`,
    does: step ? t.trial.short[step.kind] : ''
  });
</script>

<BenchRows label={t.trial.onBench} {views} {of} columns="grid-cols-[210px_auto]" {now} {format}>
  {#snippet drawing(view)}<TrialDrawing {view} small />{/snippet}
  {#snippet press(view)}<TrialPress {view} />{/snippet}
</BenchRows>
