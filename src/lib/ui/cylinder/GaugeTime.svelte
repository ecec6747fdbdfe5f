<!-- @component The true time of a reading that was pressed too soon or too late, asked for in a sheet. -->
<script lang="ts">
  import { formatTapeTime } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { RunRecord } from '$lib/contract/records/run';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { readDuration } from '$lib/workbench/entry/figure';
  import Sheet from '../station/Sheet.svelte';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import type { ReadingRow } from '$lib/workbench/working/readings';
  import { t } from '$lib/words';

  type Props = {
    jar: JarRecord;
    run: RunRecord | null;
    /** The reading whose time is asked for; none while the sheet is shut. */
    row: ReadingRow | undefined;
  };
  let { jar, run, row = $bindable() }: Props = $props();

  let time = $state('');
  const timeForm = commandForm({
    id: 'gauge-time',
    texts: () => ({ time }),
    read: (texts) => {
      const read = readDuration(texts.time);
      if (!row?.gauge || !run || read.value === undefined) return { errors: { time: read.error } };
      const at = Math.round(run.setDownAt + read.value * 1000);
      return { errors: {}, payload: { testId: jar.id, gaugeId: row.gauge.id, at } };
    },
    keep: async (payload) => {
      const [no, said] = [row?.no ?? 0, formatTapeTime(run ? (payload.at - run.setDownAt) / 1000 : 0)];
      const sent = await send('gauge.time', payload);
      row = undefined;
      time = '';
      offerUndo(sent, t.cylinder.done.timed(jar.code, no + 1, said));
    }
  });
</script>

<Sheet
  bind:open={() => row !== undefined, (is) => is || (row = undefined)}
  title={row ? t.cylinder.correctTime(row.no + 1) : ''}
  lead={t.correct.lead}
>
  <form id={timeForm.id} use:timeForm.enhance method="POST" novalidate>
    <Field
      label={t.correct.gaugeTime}
      hint={t.correct.timeHint}
      error={timeForm.errors.time ?? timeForm.errors['']}
    >
      {#snippet children(entry)}<input
          {...entry}
          class="input"
          bind:value={time}
          placeholder="40 s"
        />{/snippet}
    </Field>
  </form>
  {#snippet actions()}<button form={timeForm.id} class="btn btn-primary">{t.correct.keep}</button>{/snippet}
</Sheet>
