<!-- @component What was seen in a hole and is told afterwards: how long after the refill, and what. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import type { HoleRecord } from '$lib/contract/records/hole';
  import type { PayloadInput } from '$lib/contract/commands';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import { commandForm, type FieldErrors, type FormRead } from '../fields/command-form.svelte';
  import { readDuration, readLength } from '$lib/workbench/entry/figure';

  type Props = { hole: HoleRecord; format: Format };
  let { hole, format }: Props = $props();

  const blank = () => ({ when: '', what: 'height' as HoleRecord['readings'][number]['seen'], height: '' });
  let texts = $state(blank());

  function read({ when, what, height }: typeof texts): FormRead<PayloadInput<'hole.read'>> {
    const errors: FieldErrors = {};
    const after = readDuration(when);
    if (after.error) errors.when = after.error;
    const water = what === 'height' ? readLength(height, format.profile.length) : undefined;
    if (water?.error) errors.height = water.error;
    if (after.value === undefined || errors.height) return { errors };
    return {
      errors,
      payload: {
        holeId: hole.id,
        readingId: ulid(),
        seen: what,
        height: water?.value === undefined ? null : { mm: water.value, text: height },
        afterS: after.value
      }
    };
  }
  const form = commandForm({
    id: 'seen-before',
    texts: () => texts,
    read,
    command: 'hole.read',
    names: { afterS: 'when' },
    keep: async (payload) => {
      offerUndo(await send('hole.read', payload), t.hole.done.kept(hole.code));
    },
    clear: () => (texts = blank()),
    draft: {
      key: untrack(() => `hole:${hole.id}`),
      take: (kept) => (texts = { ...texts, ...kept }),
      measured: { lengths: ['height'] }
    }
  });
</script>

<form class="grid gap-4 max-w-[24rem] py-3 no-print" use:form.enhance method="POST" novalidate>
  <Field label={t.hole.afterWhen} hint={t.hole.afterHint} error={form.errors.when}>
    {#snippet children(entry)}
      <input {...entry} class="input" autocomplete="off" bind:value={texts.when} />
    {/snippet}
  </Field>
  <Choice
    label={t.hole.afterWhat}
    bind:value={texts.what}
    options={(['height', 'gone', 'still'] as const).map((value) => ({
      value,
      label: t.hole.afterChoices[value]
    }))}
  />
  {#if texts.what === 'height'}
    <Field label={t.hole.water} error={form.errors.height}>
      {#snippet children(entry)}
        <input {...entry} class="input" autocomplete="off" bind:value={texts.height} />
      {/snippet}
    </Field>
  {/if}
  {#if form.errors['']}<p class="wrong" role="alert">{form.errors['']}</p>{/if}
  <p><button class="btn btn-secondary">{t.hole.keep}</button></p>
</form>
