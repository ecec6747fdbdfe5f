<!-- @component What a bed is asked for, as it is written. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { WINDOW_OF, type JudgeProfile } from '$lib/core';
  import type { PayloadInput } from '$lib/contract/commands';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import { commandForm, type FieldErrors, type FormRead } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import WindowFields from './WindowFields.svelte';
  import { readWindows, windowTexts } from './windows';

  type Props = {
    profile: JudgeProfile;
    /** What it is kept as: its own key, or that of a copy. */
    bedKey: string;
    copied: boolean;
    onleave: () => void;
  };
  let { profile, bedKey, copied, onleave }: Props = $props();

  let texts = $state(
    untrack(() => ({
      name: copied ? t.profiles.copyOf(profile.name) : profile.name,
      windows: windowTexts(profile.windows)
    }))
  );

  function read(o: typeof texts): FormRead<PayloadInput<'bed.save'>> {
    const errors: FieldErrors = {};
    const windows = readWindows(o.windows, errors);
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
  <WindowFields
    bind:windows={texts.windows}
    all={WINDOW_OF}
    nameOf={(of) => ({ name: t.act.window[of], unit: t.act.units[of] })}
    {errors}
  />
  {#if errors['']}<p class="wrong" role="alert">{errors['']}</p>{/if}
  <div class="row-of-actions">
    <button class="btn btn-primary">{t.profiles.keep}</button>
    <button type="button" class="btn btn-secondary" onclick={leave}>{t.common.cancel}</button>
  </div>
</form>
