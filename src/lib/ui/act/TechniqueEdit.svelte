<!-- @component What a technique asks of a soil, as it is written. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { WALL_OF, type Technique } from '$lib/core';
  import type { PayloadInput } from '$lib/contract/commands';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import { commandForm, type FieldErrors, type FormRead } from '../fields/command-form.svelte';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import WindowFields from './WindowFields.svelte';
  import { readWindows, windowTexts } from './windows';

  type Props = {
    technique: Technique;
    /** What it is kept as: its own key, or that of a copy. */
    techniqueKey: string;
    copied: boolean;
    onleave: () => void;
  };
  let { technique, techniqueKey, copied, onleave }: Props = $props();

  let texts = $state(
    untrack(() => ({
      name: copied ? t.profiles.copyOf(technique.name) : technique.name,
      on: technique.on as Technique['on'],
      windows: windowTexts(technique.windows)
    }))
  );

  function read(o: typeof texts): FormRead<PayloadInput<'technique.save'>> {
    const errors: FieldErrors = {};
    const windows = readWindows(o.windows, errors);
    if (Object.keys(errors).length > 0) return { errors };
    return { errors, payload: { techniqueKey, fromKey: technique.id, name: o.name, on: o.on, windows } };
  }
  const form = commandForm({
    id: 'technique',
    texts: () => texts,
    read,
    command: 'technique.save',
    keep: async (payload) => {
      offerUndo(await send('technique.save', payload), t.wall.techniques.kept(payload.name));
      onleave();
    },
    draft: {
      key: untrack(() => `technique:${technique.id}:${copied}`),
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
    <Field label={t.wall.techniques.name} error={errors.name}>
      {#snippet children(entry)}<input {...entry} class="input" bind:value={texts.name} />{/snippet}
    </Field>
  </div>
  <Choice
    label={t.wall.techniques.on}
    bind:value={texts.on}
    options={(['heights', 'mass'] as const).map((value) => ({ value, label: t.wall.on[value] }))}
  />
  <WindowFields bind:windows={texts.windows} all={WALL_OF} nameOf={(of) => t.wall.of[of]} best {errors} />
  {#if errors['']}<p class="wrong" role="alert">{errors['']}</p>{/if}
  <div class="row-of-actions">
    <button class="btn btn-primary">{t.profiles.keep}</button>
    <button type="button" class="btn btn-secondary" onclick={leave}>{t.common.cancel}</button>
  </div>
</form>
