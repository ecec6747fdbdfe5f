<!-- @component Pieces that were formed, or put into water, before anybody told the bench: when that was. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import type { TrialRecord } from '$lib/contract/records/trial';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import MomentField from '../fields/MomentField.svelte';
  import { readMoment } from '../fields/time';

  type Props = { trial: TrialRecord; what: 'form' | 'soak' };
  let { trial, what }: Props = $props();
  let when = $state('');

  const form = commandForm({
    id: untrack(() => `trial-${what}`),
    texts: () => ({ when }),
    read: (texts) => {
      const at = readMoment(texts.when);
      return at === undefined ? { errors: { when: t.trial.needWhen } } : { errors: {}, payload: { at } };
    },
    names: { formedAt: 'when', soakedAt: 'when' },
    keep: async ({ at }) => {
      const { id: trialId, code } = trial;
      const sent =
        what === 'form'
          ? await send('trial.form', { trialId, formedAt: at })
          : await send('trial.soak', { trialId, soakedAt: at });
      offerUndo(sent, what === 'form' ? t.trial.done.formed(code) : t.trial.done.soak(code));
    },
    clear: () => (when = '')
  });
  const errors = $derived(form.errors);
</script>

<form class="flex flex-wrap items-start gap-4 py-3" use:form.enhance method="POST" novalidate>
  <Field label={t.trial.when} error={errors.when ?? errors['']}>
    {#snippet children(entry)}<MomentField {entry} bind:value={when} />{/snippet}
  </Field>
  <button class="btn btn-secondary mt-7">{t.trial.keep}</button>
</form>
