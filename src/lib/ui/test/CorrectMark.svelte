<!-- @component Correcting a mark for good: another layer, the time it truly had, or off the glass. Each leaves its trace in the record. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { formatTapeTime } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { MarkRecord, RunRecord } from '$lib/contract/records/run';
  import { TEXTURE_LAYERS } from '$lib/workbench/layers';
  import { secondsAfter } from '$lib/workbench/marks';
  import Choice from '../fields/Choice.svelte';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { readDuration } from '$lib/workbench/entry/figure';
  import { offerUndo, record } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import Sheet from '../station/Sheet.svelte';
  import { t } from '$lib/words';

  type Props = { jar: JarRecord; run: RunRecord; mark: MarkRecord | undefined; onclose: () => void };
  let { jar, run, mark, onclose }: Props = $props();

  let layer = $state<MarkRecord['layer']>('sand');
  let time = $state('');
  const layers = $derived(
    TEXTURE_LAYERS.filter((name) => name === mark?.layer || jar.method.marks.some((m) => m.layer === name))
  );

  const correctForm = commandForm({
    id: 'correct-mark',
    texts: () => ({ layer, time }),
    read: (texts) => {
      const read = texts.time.trim() === '' ? undefined : readDuration(texts.time);
      if (!mark || read?.error) return { errors: { time: read?.error } };
      const at = read?.value === undefined ? undefined : Math.round(run.setDownAt + read.value * 1000);
      return {
        errors: {},
        payload: {
          testId: jar.id,
          markId: mark.id,
          ...(texts.layer === mark.layer ? {} : { layer: texts.layer }),
          ...(at === undefined ? {} : { at })
        }
      };
    },
    keep: async (payload) => {
      const said = formatTapeTime(secondsAfter(run, payload.at ?? mark?.at ?? run.setDownAt));
      const named = layer;
      const same = payload.layer === undefined && payload.at === undefined;
      const sent = same ? undefined : await send('mark.correct', payload);
      onclose();
      if (sent) offerUndo(sent, t.mark.timed(jar.code, t.layer[named], said));
    }
  });
  $effect(() => {
    if (!mark) return;
    layer = mark.layer;
    time = '';
    untrack(correctForm.clear);
  });
  async function takeOff() {
    if (!mark) return;
    const { id, layer: was } = mark;
    onclose();
    await record('mark.remove', { testId: jar.id, markId: id }, t.mark.removed(jar.code, t.layer[was]));
  }
</script>

<Sheet
  bind:open={() => mark !== undefined, (open) => open || onclose()}
  title={mark ? t.correct.title(t.layer[mark.layer], formatTapeTime(secondsAfter(run, mark.at))) : ''}
  lead={t.correct.lead}
>
  {#if mark}
    <form id={correctForm.id} use:correctForm.enhance method="POST" novalidate class="grid gap-5">
      <Choice
        label={t.correct.layer}
        bind:value={layer}
        options={layers.map((value) => ({ value, label: t.layer[value] }))}
      />
      <Field
        label={t.correct.time}
        hint={t.correct.timeHint}
        error={correctForm.errors.time ?? correctForm.errors['']}
      >
        {#snippet children(entry)}
          <input {...entry} class="input" bind:value={time} placeholder="2 h 5" />
        {/snippet}
      </Field>
    </form>
  {/if}
  {#snippet actions()}
    <button form={correctForm.id} class="btn btn-primary">{t.correct.keep}</button>
    <button type="button" class="btn btn-secondary" onclick={takeOff}>{t.asked.takeOff}</button>
  {/snippet}
</Sheet>
