<!-- @component Something that was put on or into an area: what, how much, and on which day. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { AMENDMENTS, type AmendmentKind } from '$lib/contract/records/amendment';
  import type { PayloadInput } from '$lib/contract/commands';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import { commandForm, type FieldErrors, type FormRead } from '../fields/command-form.svelte';
  import DayField from '../fields/DayField.svelte';
  import Field from '../fields/Field.svelte';
  import { readNumber } from '$lib/workbench/entry/figure';
  import { readDay } from '../fields/time';

  type Props = {
    area: { id: string; name: string };
    today: string;
    /** What is known of it already. */
    start?: { kind: AmendmentKind; litres: string };
    onleave: () => void;
  };
  let { area, today, start = { kind: 'compost', litres: '' }, onleave }: Props = $props();

  let texts = $state(untrack(() => ({ ...start, day: today, note: '' })));

  function read({ kind, litres, day, note }: typeof texts): FormRead<PayloadInput<'amend.add'>> {
    const errors: FieldErrors = {};
    if (!readDay(day)) errors.day = t.fields.badDay;
    const payload = {
      amendmentId: ulid(),
      areaId: area.id,
      doneOn: day,
      kind,
      litres: litres.trim() === '' ? null : readNumber(litres),
      note
    };
    return Object.keys(errors).length > 0 ? { errors } : { payload, errors };
  }
  const form = commandForm({
    id: 'amendment',
    texts: () => texts,
    read,
    command: 'amend.add',
    names: { doneOn: 'day' },
    keep: async (payload) => {
      offerUndo(await send('amend.add', payload), t.beds.kept(t.beds.kinds[payload.kind], area.name));
      onleave();
    },
    draft: { key: untrack(() => `amend:${area.id}`), take: (kept) => (texts = { ...texts, ...kept }) }
  });
  const errors = $derived(form.errors);
  function leave() {
    form.clear();
    onleave();
  }
</script>

<form class="grid gap-4 mt-2 max-w-[24rem]" use:form.enhance method="POST" novalidate>
  <Field label={t.beds.kind} error={errors.kind}>
    {#snippet children(entry)}
      <select {...entry} class="select" bind:value={texts.kind}>
        {#each AMENDMENTS as kind (kind)}<option value={kind}>{t.beds.kinds[kind]}</option>{/each}
      </select>
    {/snippet}
  </Field>
  <Field label={t.beds.day} error={errors.day}>
    {#snippet children(entry)}<DayField {entry} max={today} bind:value={texts.day} />{/snippet}
  </Field>
  <Field label={t.beds.litres} error={errors.litres}>
    {#snippet children(entry)}
      <input {...entry} class="input" inputmode="decimal" bind:value={texts.litres} />
    {/snippet}
  </Field>
  <Field label={t.beds.note} error={errors.note}>
    {#snippet children(entry)}
      <input {...entry} class="input" maxlength="500" bind:value={texts.note} />
    {/snippet}
  </Field>
  {#if errors['']}<p class="wrong" role="alert">{errors['']}</p>{/if}
  <div class="row-of-actions">
    <button class="btn btn-primary">{t.beds.keep}</button>
    <button type="button" class="btn btn-secondary" onclick={leave}>{t.common.cancel}</button>
  </div>
</form>
