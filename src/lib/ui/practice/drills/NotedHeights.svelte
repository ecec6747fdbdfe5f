<!-- @component Heights of a jar as somebody noted them: thicknesses or tops, the organic skin, the water line, the rim. -->
<script lang="ts">
  import type { Task } from '$lib/core';
  import { t } from '$lib/words';

  type Props = { task: Task<'total'> };
  let { task }: Props = $props();
  const w = t.drills;
  const rows = $derived.by(() => {
    let top = 0;
    const layers = (
      [
        ['gravel', task.gravelMm],
        ['sand', task.sandMm],
        ['silt', task.siltMm],
        ['clay', task.clayMm],
        ['organics', task.organicsMm]
      ] as const
    )
      .filter(([, mm]) => mm > 0)
      .map(([kind, mm]) => {
        top += mm;
        return { name: w.layers[kind], mm: task.tops ? top : mm };
      });
    return [
      ...layers,
      ...(task.waterMm > 0 ? [{ name: w.fields.waterLine, mm: task.waterMm }] : []),
      ...(task.jarMm > 0 ? [{ name: w.fields.rim, mm: task.jarMm }] : [])
    ].toReversed();
  });
</script>

<table class="plain w-[22rem]">
  <thead>
    <tr>
      <th scope="col">{w.fields.noted}</th>
      <th scope="col" class="num">{task.tops ? w.fields.top : w.fields.thickness}, mm</th>
    </tr>
  </thead>
  <tbody>
    {#each rows as row (row.name)}
      <tr><th scope="row">{row.name}</th><td class="num">{row.mm}</td></tr>
    {/each}
  </tbody>
</table>
