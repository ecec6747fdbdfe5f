<!-- @component Correcting time zero: when the jar truly stood still, and why it was wrong. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { RunRecord } from '$lib/contract/records/run';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import MomentField from '../fields/MomentField.svelte';
  import { readMoment, wallText } from '../fields/time';
  import type { Format } from '$lib/words/format';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import Sheet from '../station/Sheet.svelte';
  import { t } from '$lib/words';

  type Props = { jar: JarRecord; run: RunRecord; format: Format; open: boolean };
  let { jar, run, format, open = $bindable() }: Props = $props();

  /** What is known of it stands there: somebody changes what is wrong with it. */
  let when = $state(untrack(() => wallText(run.setDownAt)));
  let why = $state('');
  const zeroForm = commandForm({
    id: 'zero',
    texts: () => ({ when, why }),
    read: (texts) => {
      const setDownAt = readMoment(texts.when);
      const errors = {
        ...(setDownAt === undefined ? { setDownAt: t.paper.needSetDown } : {}),
        ...(texts.why.trim() === '' ? { why: t.correct.needWhy } : {})
      };
      if (setDownAt === undefined || Object.keys(errors).length > 0) return { errors };
      return { errors, payload: { testId: jar.id, runId: run.id, setDownAt, why: texts.why } };
    },
    command: 'run.zero',
    keep: async (payload) => {
      const sent = await send('run.zero', payload);
      open = false;
      when = wallText(payload.setDownAt);
      why = '';
      offerUndo(sent, t.mark.zeroed(jar.code));
    },
    draft: {
      key: untrack(() => `zero:${run.id}`),
      take: (kept) => ({ when, why } = kept)
    }
  });
  const errors = $derived(zeroForm.errors);
</script>

<Sheet
  bind:open
  title={t.correct.zeroTitle(jar.code)}
  lead={t.correct.zeroLead(format.toTheSecond(run.setDownAt))}
>
  <form id={zeroForm.id} use:zeroForm.enhance method="POST" novalidate class="grid gap-5">
    <Field label={t.correct.zero} error={errors.setDownAt ?? errors['']}>
      {#snippet children(entry)}
        <MomentField {entry} bind:value={when} />
      {/snippet}
    </Field>
    <Field label={t.correct.why} error={errors.why}>
      {#snippet children(entry)}
        <input {...entry} class="input" bind:value={why} maxlength="300" placeholder={t.correct.whyHint} />
      {/snippet}
    </Field>
  </form>
  {#snippet actions()}<button form={zeroForm.id} class="btn btn-primary">{t.correct.zeroKeep}</button
    >{/snippet}
</Sheet>
