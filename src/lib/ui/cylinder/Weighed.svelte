<!-- @component What a cylinder test stands on besides its readings: what was weighed, and for a hydrometer its blank. -->
<script lang="ts">
  import type { BlankRecord, JarRecord } from '$lib/contract/records/jar';
  import type { RangeProblem } from '$lib/core';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import BlankPanel from './BlankPanel.svelte';
  import FactsPanel from './FactsPanel.svelte';

  type Props = {
    jar: JarRecord;
    blanks: BlankRecord[];
    tool: 'hydrometer' | 'pipette';
    /** What stands against the whole, for the field that is meant. */
    problem?: RangeProblem;
    format: Format;
    now: number;
  };
  let { jar, blanks, tool, problem, format, now }: Props = $props();
</script>

<div
  class="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-y-6 gap-x-9 mt-8 max-md:grid-cols-1 print:hidden"
>
  <section>
    <h2 class="mb-3">{t.cylinder.weighed}</h2>
    <FactsPanel {jar} wrong={problem ? { [problem.field]: problem.message } : {}} />
  </section>
  {#if tool === 'hydrometer'}
    <section>
      <h2 class="mb-3">{t.cylinder.blank}</h2>
      <BlankPanel {jar} {blanks} {format} {now} />
    </section>
  {/if}
</div>
