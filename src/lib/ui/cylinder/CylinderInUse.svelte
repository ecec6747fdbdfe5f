<!-- @component A cylinder as it stands: the instrument in it while a reading is due, the water as dark as the last one leaves it. -->
<script lang="ts">
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { CylinderFacts, WorkedReadings } from '$lib/core';
  import type { JarView } from '$lib/workbench/jars';
  import { drawnDarkness, type ReadingRow } from '$lib/workbench/working/readings';
  import CylinderFigure from './CylinderFigure.svelte';

  type Props = {
    jar: JarRecord;
    view: JarView;
    facts: CylinderFacts;
    tool: 'hydrometer' | 'pipette';
    rows: readonly ReadingRow[];
    readings?: WorkedReadings;
    now: number;
  };
  let { jar, view, facts, tool, rows, readings, now }: Props = $props();

  /** What the scale is drawn to show before the first reading, g/L; and the sediment once it stands, mm: only to look right. */
  const SCALE_AT_FIRST = 20;
  const SEDIMENT_MM = 6;

  const { run, step } = $derived(view);
  const lastValue = $derived(
    rows.findLast((r) => r.gauge && r.gauge.value !== null)?.gauge?.value ?? undefined
  );
  const inWater = $derived(step.kind === 'lower' ? step.state === 'due' : step.kind === 'gauge');
  /** What is still in suspension by the last reading: how dark the water is drawn. */
  const dark = $derived(drawnDarkness(readings, run ? (now - run.setDownAt) / 1000 : undefined));
</script>

<CylinderFigure
  code={jar.code}
  {tool}
  bulb={facts.bulb}
  scale={tool === 'pipette' ? (inWater ? 0 : undefined) : inWater ? (lastValue ?? SCALE_AT_FIRST) : undefined}
  {dark}
  settledMm={run ? SEDIMENT_MM : 0}
  waterMm={jar.waterMm}
  heightMm={jar.vessel.innerHeightMm}
  innerMm={jar.vessel.innerDiameterMm}
  pipetteDepthMm={facts.pipette?.depthMm}
/>
