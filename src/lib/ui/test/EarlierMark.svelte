<!-- @component A mark that was made on the glass and not pressed: the time it was made at. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { formatTapeTime } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { MarkRecord, RunRecord } from '$lib/contract/records/run';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { secondsAfter } from '$lib/workbench/marks';
  import { t } from '$lib/words';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { readDuration } from '$lib/workbench/entry/figure';
  import Sheet from '../station/Sheet.svelte';

  type Props = {
    jar: JarRecord;
    run: RunRecord;
    now: number;
    /** What the mark is the top of. */
    layer: MarkRecord['layer'];
    onclose: () => void;
  };
  let { jar, run, now, layer, onclose }: Props = $props();

  let time = $state('');
  const markForm = commandForm({
    id: 'earlier-mark',
    texts: () => ({ time }),
    read: (texts) => {
      const read = readDuration(texts.time);
      if (read.value === undefined) return { errors: { time: read.error } };
      const at = Math.round(run.setDownAt + read.value * 1000);
      if (at > now) return { errors: { time: t.paper.future } };
      return { errors: {}, payload: { layer, at } };
    },
    keep: async ({ layer, at }) => {
      const payload = { testId: jar.id, runId: run.id, markId: ulid(), layer };
      const sent = await send('jar.mark', payload, at);
      onclose();
      offerUndo(sent, t.done['jar.mark'](jar.code, t.layer[layer], formatTapeTime(secondsAfter(run, at))));
    },
    draft: {
      key: untrack(() => `earlier:${run.id}:${layer}`),
      take: (kept) => ({ time } = kept)
    }
  });
</script>

<Sheet bind:open={() => true, (is) => is || onclose()} title={t.correct.earlier(t.layer[layer])}>
  <form id={markForm.id} use:markForm.enhance method="POST" novalidate>
    <Field
      label={t.correct.time}
      hint={t.correct.timeHint}
      error={markForm.errors.time ?? markForm.errors['']}
    >
      {#snippet children(entry)}
        <input {...entry} class="input" bind:value={time} placeholder="2 h 5" />
      {/snippet}
    </Field>
  </form>
  {#snippet actions()}<button form={markForm.id} class="btn btn-primary">{t.correct.keepMark}</button
    >{/snippet}
</Sheet>
