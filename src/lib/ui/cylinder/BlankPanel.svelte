<!-- @component The blank that a test shares with others: which one, its readings, and reading it now. -->
<script lang="ts">
  import DataTable from '../kit/DataTable.svelte';
  import DropButton from '../kit/DropButton.svelte';
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { fromCelsius, known } from '$lib/core';
  import type { BlankRecord, JarRecord } from '$lib/contract/records/jar';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { readTemperature } from '$lib/workbench/entry/figure';
  import type { Format } from '$lib/words/format';
  import { offerUndo, record } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import { readNumber } from '$lib/workbench/entry/figure';

  type Props = { jar: JarRecord; blanks: BlankRecord[]; format: Format; now: number };
  let { jar, blanks, format, now }: Props = $props();

  const setup = $derived(known(jar.cylinder, 'this panel stands on the page of a cylinder'));
  const own = $derived(blanks.find((b) => b.id === setup.blankId));
  let form = $state(
    untrack(() => ({
      name: '',
      value: '',
      temp: String(Math.round(fromCelsius(jar.tempC, format.profile.temperature)))
    }))
  );
  async function choose(blankId: string | null) {
    const words = t.cylinder.saved;
    await record('cylinder.facts', { testId: jar.id, facts: setup.facts, blankId }, words);
  }
  const newForm = commandForm({
    id: 'blank-new',
    texts: () => form,
    read: ({ name }) =>
      name.trim() === ''
        ? { errors: { name: t.cylinder.blankNameHint } }
        : { errors: {}, payload: { blankId: ulid(), name: name.trim() } },
    command: 'blank.add',
    keep: async (payload) => {
      offerUndo(await send('blank.add', payload), t.cylinder.done.blankAdded(payload.name));
      await choose(payload.blankId);
      form.name = '';
    }
  });
  const readForm = commandForm({
    id: 'blank-read',
    texts: () => form,
    read: (texts) => {
      const value = readNumber(texts.value);
      const temp = readTemperature(texts.temp, format.profile.temperature);
      const errors = {
        ...(Number.isNaN(value) ? { value: t.cylinder.number(t.cylinder.blank.toLowerCase()) } : {}),
        ...(temp.error ? { temp: temp.error } : {})
      };
      if (!own || Number.isNaN(value) || temp.value === undefined) return { errors };
      return { errors, payload: { blankId: own.id, readingId: ulid(), value, tempC: temp.value } };
    },
    names: { tempC: 'temp' },
    keep: async (payload) => {
      offerUndo(await send('blank.read', payload), t.cylinder.done.blankRead(own?.name ?? ''));
      form.value = '';
    },
    draft: {
      key: untrack(() => `blank:${jar.id}`),
      take: (kept) => (form = { ...form, ...kept }),
      measured: { temperatures: ['temp'] }
    }
  });
</script>

{#snippet drop(r: { id: string; value: number })}
  <DropButton
    label={t.cylinder.blankDrop(String(r.value))}
    onclick={() => record('blank.unread', { readingId: r.id }, t.cylinder.done.blankUnread)}
  />
{/snippet}

<div class="grid gap-3 justify-items-start">
  <p class="faded small">{t.cylinder.blankLead}</p>
  <Field label={t.cylinder.blank}>
    {#snippet children(entry)}
      <select
        {...entry}
        class="select"
        value={setup.blankId ?? ''}
        onchange={(e) => choose(e.currentTarget.value || null)}
      >
        <option value="">{t.cylinder.blankNone}</option>
        {#each blanks as b (b.id)}<option value={b.id}>{b.name}</option>{/each}
      </select>
    {/snippet}
  </Field>
  {#if own}
    {#if own.readings.length > 0}
      <DataTable
        rows={own.readings}
        key={(r) => r.id}
        columns={[
          { id: 'at', class: 'pr-6', text: (r) => format.when(r.at, now) },
          {
            id: 'value',
            class: 'pr-6',
            strong: true,
            num: true,
            text: (r) => String(r.value).replace('-', '−')
          },
          { id: 'temp', class: 'pr-6', num: true, text: (r) => format.temp(r.tempC) },
          { id: 'drop', class: 'pr-6', cell: drop }
        ]}
      />
      <p class="faded small">{t.cylinder.noDouble}</p>
    {/if}
    <form class="flex flex-wrap items-start gap-y-3 gap-x-5" use:readForm.enhance method="POST" novalidate>
      <Field label={t.cylinder.blankValue} error={readForm.errors.value ?? readForm.errors['']}>
        {#snippet children(entry)}<input
            {...entry}
            class="input w-[6rem]"
            inputmode="text"
            bind:value={form.value}
            placeholder="−1"
          />{/snippet}
      </Field>
      <Field label={t.cylinder.blankTemp} error={readForm.errors.temp}>
        {#snippet children(entry)}<input
            {...entry}
            class="input w-[6rem]"
            inputmode="decimal"
            bind:value={form.temp}
          />{/snippet}
      </Field>
      <button class="btn btn-secondary mt-6">{t.cylinder.blankRead}</button>
    </form>
  {:else}
    <form class="flex flex-wrap items-start gap-y-3 gap-x-5" use:newForm.enhance method="POST" novalidate>
      <Field
        label={t.cylinder.blankName}
        hint={t.cylinder.blankNameHint}
        error={newForm.errors.name ?? newForm.errors['']}
      >
        {#snippet children(entry)}<input
            {...entry}
            class="input"
            maxlength="60"
            bind:value={form.name}
          />{/snippet}
      </Field>
      <button class="btn btn-secondary mt-6">{t.cylinder.blankNew}</button>
    </form>
  {/if}
</div>
