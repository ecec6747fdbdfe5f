<!-- @component Every moment of a method that wants hands, in order, with the size it cuts to. -->
<script lang="ts">
  import { cueLead, formatDuration, markWindow, instrumentAt, type Method, type StripCut } from '$lib/core';
  import { t } from '$lib/words';
  import { cutText } from '$lib/words/steps';
  import DataTable from '../kit/DataTable.svelte';

  type Props = {
    method: Method;
    /** Sizes that its marks or readings cut to in the vessel that is shown. */
    cuts: readonly StripCut[];
    /** Warmth of the water that is shown, degC. */
    tempC: number;
  };
  let { method, cuts, tempC }: Props = $props();

  const cues = $derived([
    ...method.marks.map((m) => ({
      at: formatDuration(m.atS),
      until: formatDuration(markWindow(m).untilS),
      what: t.plan.cueMark(t.layer[m.layer]),
      lead: cueLead(m.atS),
      cut: cuts.find((c) => c.layer === m.layer)?.cutUm
    })),
    ...(method.readings ?? []).map((r, i) => ({
      at: formatDuration(instrumentAt(r, tempC)),
      until: '',
      what: t.plan.cueRead[method.kind === 'pipette' ? 'pipette' : 'hydrometer'],
      lead: r.leadS,
      cut: cuts[i]?.cutUm
    }))
  ]);
</script>

{#snippet cueWhat(cue: { what: string; lead: number })}
  {cue.what}{#if cue.lead > 0}<span class="faded small block">{t.plan.cueLead(formatDuration(cue.lead))}</span
    >{/if}
{/snippet}

{#if cues.length === 0}
  <p>{t.set.noMarks(method.end.note)}</p>
{:else}
  <DataTable
    rows={cues}
    key={(cue) => cue.at + cue.what}
    columns={[
      {
        id: 'at',
        head: t.plan.after,
        class: 'whitespace-nowrap',
        strong: true,
        text: (cue) => (cue.until ? t.set.markWindow(cue.at, cue.until) : cue.at)
      },
      { id: 'what', head: t.plan.what, cell: cueWhat },
      {
        id: 'cut',
        head: t.plan.cutsTo,
        text: (cue) => (cue.cut === undefined ? '' : `${cutText(cue.cut)} µm`)
      }
    ]}
  />
{/if}
