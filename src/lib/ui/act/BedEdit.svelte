<!-- @component What a bed is asked for, as it is written: its windows, each with its bounds and its reason. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { WINDOW_OF, type JudgeProfile, type Window } from '$lib/core';
  import type { PayloadInput } from '$lib/contract/commands';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import { commandForm, type FieldErrors, type FormRead } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { readNumber } from '../fields/read';

  type Props = {
    profile: JudgeProfile;
    /** What it is kept as: its own key, or that of a copy. */
    bedKey: string;
    copied: boolean;
    onleave: () => void;
  };
  let { profile, bedKey, copied, onleave }: Props = $props();

  const textOf = (bound: number | undefined) => (bound === undefined ? '' : String(bound));
  let texts = $state(
    untrack(() => ({
      name: copied ? t.profiles.copyOf(profile.name) : profile.name,
      windows: profile.windows.map(({ of, least, most, reason }) => ({
        of: of as Window['of'],
        least: textOf(least),
        most: textOf(most),
        reason
      }))
    }))
  );
  const free = $derived(WINDOW_OF.filter((of) => !texts.windows.some((w) => w.of === of)));

  function read(o: typeof texts): FormRead<PayloadInput<'bed.save'>> {
    const errors: FieldErrors = {};
    const bound = (text: string, field: string) => {
      if (text.trim() === '') return undefined;
      const value = readNumber(text);
      if (Number.isNaN(value)) errors[field] = t.act.number;
      return value;
    };
    const windows = o.windows.map(({ of, least, most, reason }, i) => ({
      of,
      least: bound(least, `windows.${i}.least`),
      most: bound(most, `windows.${i}.most`),
      reason
    }));
    if (Object.keys(errors).length > 0) return { errors };
    return { errors, payload: { bedKey, fromKey: profile.id, name: o.name, windows } };
  }
  const form = commandForm({
    id: 'bed',
    texts: () => texts,
    read,
    command: 'bed.save',
    keep: async (payload) => {
      offerUndo(await send('bed.save', payload), t.act.beds.kept(payload.name));
      onleave();
    },
    draft: {
      key: untrack(() => `bed:${profile.id}:${copied}`),
      take: (kept) => (texts = { ...texts, ...kept })
    }
  });
  const errors = $derived(form.errors);
  function leave() {
    form.clear();
    onleave();
  }
</script>

<form class="grid gap-4 mt-3" use:form.enhance method="POST" novalidate>
  <div class="max-w-[24rem]">
    <Field label={t.act.beds.name} error={errors.name}>
      {#snippet children(entry)}<input {...entry} class="input" bind:value={texts.name} />{/snippet}
    </Field>
  </div>
  {#each texts.windows as window, i (window)}
    <fieldset
      class="grid grid-cols-[12rem_6rem_6rem_minmax(0,1fr)_auto] gap-x-5 gap-y-2 items-end max-md:grid-cols-2"
    >
      <legend class="sr-only">{t.act.window[window.of]}</legend>
      <Field label={t.act.beds.of} error={errors[`windows.${i}.of`]}>
        {#snippet children(entry)}
          <select {...entry} class="select" bind:value={window.of}>
            {#each WINDOW_OF as of (of)}<option value={of}
                >{`${t.act.window[of]}${t.act.units[of] ? `, ${t.act.units[of]}` : ''}`}</option
              >{/each}
          </select>
        {/snippet}
      </Field>
      {#each ['least', 'most'] as const as side (side)}
        <Field label={t.act.beds[side]} error={errors[`windows.${i}.${side}`]}>
          {#snippet children(entry)}
            <input {...entry} class="input" inputmode="decimal" bind:value={window[side]} />
          {/snippet}
        </Field>
      {/each}
      <Field label={t.act.beds.reason} error={errors[`windows.${i}.reason`]}>
        {#snippet children(entry)}
          <input {...entry} class="input" maxlength="200" bind:value={window.reason} />
        {/snippet}
      </Field>
      <button
        type="button"
        class="link min-h-touch"
        aria-label={t.act.beds.dropWindow(t.act.window[window.of])}
        onclick={() => texts.windows.splice(i, 1)}>{t.ground.takeOff}</button
      >
    </fieldset>
  {/each}
  {#if errors.windows}<p class="wrong" role="alert">{errors.windows}</p>{/if}
  {#if free.length > 0}
    <p>
      <button
        type="button"
        class="link min-h-touch"
        onclick={() => texts.windows.push({ of: free[0], least: '', most: '', reason: '' })}
        >{t.act.beds.addWindow}</button
      >
    </p>
  {/if}
  {#if errors['']}<p class="wrong" role="alert">{errors['']}</p>{/if}
  <div class="row-of-actions">
    <button class="btn btn-primary">{t.profiles.keep}</button>
    <button type="button" class="btn btn-secondary" onclick={leave}>{t.common.cancel}</button>
  </div>
</form>
