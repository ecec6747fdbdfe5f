<!-- @component Correcting time zero: when the jar truly stood still, and why it was wrong. -->
<script lang="ts">
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { RunRecord } from '$lib/contract/records/run';
  import Field from '../fields/Field.svelte';
  import type { Format } from '$lib/words/format';
  import { offerUndo, problemText } from '$lib/browser/actions';
  import { CommandRefused, send } from '$lib/browser/outbox.svelte';
  import Sheet from '../station/Sheet.svelte';
  import { t } from '$lib/words';

  type Props = { jar: JarRecord; run: RunRecord; format: Format; open: boolean };
  let { jar, run, format, open = $bindable() }: Props = $props();

  let when = $state('');
  let why = $state('');
  let errors = $state<Record<string, string>>({});

  async function keep() {
    errors = {};
    const setDownAt = when === '' ? undefined : new Date(when).getTime();
    if (setDownAt === undefined || Number.isNaN(setDownAt)) errors.setDownAt = t.paper.needSetDown;
    if (why.trim() === '') errors.why = t.correct.needWhy;
    if (Object.keys(errors).length > 0) return;
    try {
      const sent = await send('run.zero', { testId: jar.id, runId: run.id, setDownAt: setDownAt!, why });
      open = false;
      when = '';
      why = '';
      offerUndo(sent, t.mark.zeroed(jar.code));
    } catch (failed) {
      errors =
        failed instanceof CommandRefused && Object.keys(failed.fields).length > 0
          ? failed.fields
          : { setDownAt: problemText(failed) };
    }
  }
</script>

<Sheet
  bind:open
  title={t.correct.zeroTitle(jar.code)}
  lead={t.correct.zeroLead(format.toTheSecond(run.setDownAt))}
>
  <div class="grid gap-5">
    <Field label={t.correct.zero} error={errors.setDownAt}>
      {#snippet children(entry)}
        <input {...entry} class="input" type="datetime-local" step="1" bind:value={when} />
      {/snippet}
    </Field>
    <Field label={t.correct.why} error={errors.why}>
      {#snippet children(entry)}
        <input {...entry} class="input" bind:value={why} maxlength="300" placeholder={t.correct.whyHint} />
      {/snippet}
    </Field>
  </div>
  {#snippet actions()}<button type="button" class="btn btn-primary" onclick={keep}
      >{t.correct.zeroKeep}</button
    >{/snippet}
</Sheet>
