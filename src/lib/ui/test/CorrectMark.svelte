<!-- @component Correcting a mark for good: another layer, the time it truly had, or off the glass. Each leaves its trace in the record. -->
<script lang="ts">
  import { formatTapeTime } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { MarkRecord, RunRecord } from '$lib/contract/records/run';
  import { TEXTURE_LAYERS } from '$lib/workbench/layers';
  import { secondsAfter } from '$lib/workbench/marks';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import { readDuration } from '../fields/read';
  import { offerUndo, problemText, record } from '$lib/browser/actions';
  import { CommandRefused, send } from '$lib/browser/outbox.svelte';
  import Sheet from '../station/Sheet.svelte';
  import { t } from '$lib/words';

  type Props = { jar: JarRecord; run: RunRecord; mark: MarkRecord | undefined; onclose: () => void };
  let { jar, run, mark, onclose }: Props = $props();

  let layer = $state<MarkRecord['layer']>('sand');
  let time = $state('');
  let error = $state('');
  $effect(() => {
    if (!mark) return;
    layer = mark.layer;
    time = '';
    error = '';
  });
  const layers = $derived(
    TEXTURE_LAYERS.filter((name) => name === mark?.layer || jar.method.marks.some((m) => m.layer === name))
  );

  async function keep() {
    if (!mark) return;
    error = '';
    const read = time.trim() === '' ? undefined : readDuration(time);
    if (read?.error) {
      error = read.error;
      return;
    }
    const at = read ? Math.round(run.setDownAt + read.value! * 1000) : undefined;
    if (layer === mark.layer && at === undefined) {
      onclose();
      return;
    }
    const payload = {
      testId: jar.id,
      markId: mark.id,
      ...(layer === mark.layer ? {} : { layer }),
      ...(at === undefined ? {} : { at })
    };
    const said = formatTapeTime(secondsAfter(run, at ?? mark.at));
    try {
      const sent = await send('mark.correct', payload);
      onclose();
      offerUndo(sent, t.mark.timed(jar.code, t.layer[layer], said));
    } catch (failed) {
      error = failed instanceof CommandRefused ? (failed.fields.time ?? failed.message) : problemText(failed);
    }
  }
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
    <div class="grid gap-5">
      <Choice
        label={t.correct.layer}
        bind:value={layer}
        options={layers.map((value) => ({ value, label: t.layer[value] }))}
      />
      <Field label={t.correct.time} hint={t.correct.timeHint} {error}>
        {#snippet children(entry)}
          <input {...entry} class="input" bind:value={time} placeholder="2 h 5" />
        {/snippet}
      </Field>
    </div>
  {/if}
  {#snippet actions()}
    <button type="button" class="btn btn-primary" onclick={keep}>{t.correct.keep}</button>
    <button type="button" class="btn btn-secondary" onclick={takeOff}>{t.asked.takeOff}</button>
  {/snippet}
</Sheet>
