<!-- @component A folder of soils that somebody else sent: by whom, when, which, and what they call them. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import type { PayloadInput } from '$lib/contract/commands';
  import type { FolderRecord } from '$lib/contract/records/folder';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import DayField from '../fields/DayField.svelte';
  import Field from '../fields/Field.svelte';
  import PickOptions from '../fields/PickOptions.svelte';
  import TextField from '../fields/TextField.svelte';
  import BothVersions from '../fields/BothVersions.svelte';
  import { commandForm, type FormRead } from '../fields/command-form.svelte';

  type Props = {
    samples: readonly { id: string; code: string; name: string }[];
    /** A folder that is changed. */
    folder?: FolderRecord;
    onkept?: () => void;
  };
  let { samples, folder, onkept }: Props = $props();

  const folderId = untrack(() => folder?.id ?? ulid());
  const blank = () => ({ key: ulid(), sampleId: '', theirs: '' });
  const textsOf = () => ({
    name: folder?.name ?? '',
    sender: folder?.sender ?? '',
    receivedOn: folder?.receivedOn ?? '',
    note: folder?.note ?? '',
    items: [...(folder?.items ?? []).map((item) => ({ key: ulid(), ...item })), blank()]
  });
  let texts = $state(untrack(textsOf));

  function read(o: typeof texts): FormRead<PayloadInput<'folder.add'>> {
    const items = o.items
      .filter((item) => item.sampleId !== '')
      .map(({ sampleId, theirs }) => ({ sampleId, theirs }));
    const { name, sender, receivedOn, note } = o;
    return {
      errors: {},
      payload: { folderId, name, sender, receivedOn: receivedOn === '' ? null : receivedOn, note, items }
    };
  }
  const form = commandForm({
    id: untrack(() => (folder ? 'folder-edit' : 'folder')),
    texts: () => texts,
    read,
    command: 'folder.add',
    record: () => ({
      name: folder?.name,
      sender: folder?.sender,
      receivedOn: folder?.receivedOn,
      note: folder?.note,
      items: folder?.items
    }),
    refill: () => (texts = textsOf()),
    keep: async (payload, seen) => {
      if (folder) {
        offerUndo(await send('folder.edit', payload, undefined, seen), t.folder.kept(payload.name));
        onkept?.();
        return;
      }
      const sent = await send('folder.add', payload);
      await goto(`/act/folders/${payload.folderId}`);
      offerUndo(sent, t.folder.made(payload.name), () => goto('/act/folders'));
    },
    draft: {
      key: untrack(() => (folder ? `folder-edit:${folder.id}` : 'folder')),
      take: (kept) => (texts = { ...texts, ...kept })
    }
  });
  const errors = $derived(form.errors);
  /** Errors of soils count only those that are named. */
  const wrongAt = (at: number) => {
    const place = texts.items.slice(0, at).filter((item) => item.sampleId !== '').length;
    return errors[`items.${place}.sampleId`] ?? errors[`items.${place}.theirs`];
  };
</script>

<form
  class="grid grid-cols-2 gap-x-6 gap-y-4 py-3 max-sm:grid-cols-1"
  use:form.enhance
  method="POST"
  novalidate
>
  <BothVersions {form} />
  <TextField
    label={t.folder.name}
    hint={t.folder.nameHint}
    error={errors.name}
    maxlength={80}
    bind:value={texts.name}
  />
  <TextField label={t.folder.sender} error={errors.sender} maxlength={120} bind:value={texts.sender} />
  <Field label={t.folder.received} error={errors.receivedOn}>
    {#snippet children(entry)}<DayField {entry} bind:value={texts.receivedOn} />{/snippet}
  </Field>
  <TextField label={t.folder.note} error={errors.note} maxlength={500} bind:value={texts.note} />
  <fieldset class="col-span-full grid gap-3">
    <legend class="font-semibold">{t.folder.soils}</legend>
    {#each texts.items as item, i (item.key)}
      <div class="grid grid-cols-[minmax(0,2fr)_minmax(0,1fr)_auto] gap-x-4 items-start">
        <Field label={t.folder.sample} error={wrongAt(i)}>
          {#snippet children(entry)}
            <select {...entry} class="select" bind:value={item.sampleId}>
              <option value="">{t.folder.noSample}</option>
              <PickOptions of={samples} />
            </select>
          {/snippet}
        </Field>
        <TextField label={t.folder.theirs} maxlength={40} bind:value={item.theirs} />
        <button
          type="button"
          class="link min-h-touch mt-7"
          aria-label={t.folder.off(
            samples.find((one) => one.id === item.sampleId)?.code ?? t.folder.noSample
          )}
          onclick={() => (texts.items = texts.items.filter((other) => other.key !== item.key))}
          >{t.ground.takeOff}</button
        >
      </div>
    {/each}
    <p>
      <button type="button" class="btn btn-secondary" onclick={() => texts.items.push(blank())}
        >{t.folder.addSoil}</button
      >
    </p>
  </fieldset>
  {#if errors.items}<p class="wrong col-span-full" role="alert">{errors.items}</p>{/if}
  {#if errors['']}<p class="wrong col-span-full" role="alert">{errors['']}</p>{/if}
  <p><button class="btn btn-primary">{folder ? t.folder.keep : t.folder.make}</button></p>
</form>
