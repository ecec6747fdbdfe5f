<!-- @component Needs, prices and rules of thumb as they are written: each with its value and its reason. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { FIGURE_IDS, FIGURE_PARTS, FIGURES, type FigureSet } from '$lib/core';
  import type { PayloadInput } from '$lib/contract/commands';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import { commandForm, type FieldErrors, type FormRead } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { readNumber } from '../fields/read';

  type Props = {
    set: FigureSet;
    /** What it is kept as: its own key, or that of a copy. */
    figuresKey: string;
    copied: boolean;
    onleave: () => void;
  };
  let { set, figuresKey, copied, onleave }: Props = $props();

  let texts = $state(
    untrack(() => ({
      name: copied ? t.profiles.copyOf(set.name) : set.name,
      figures: FIGURE_IDS.map((of) => {
        const given = set.figures.find((figure) => figure.of === of);
        const value = given ? given.value : FIGURES[of].usual;
        return {
          of,
          value: value === null ? '' : String(value),
          reason: given?.reason ?? FIGURES[of].reason
        };
      })
    }))
  );

  function read(o: typeof texts): FormRead<PayloadInput<'figures.save'>> {
    const errors: FieldErrors = {};
    const figures = o.figures.map(({ of, value: text, reason }, i) => {
      const value = text.trim() === '' ? null : readNumber(text);
      if (Number.isNaN(value)) errors[`figures.${i}.value`] = t.act.number;
      return { of, value, reason };
    });
    if (Object.keys(errors).length > 0) return { errors };
    return { errors, payload: { figuresKey, fromKey: set.id, name: o.name, figures } };
  }
  const form = commandForm({
    id: 'figures',
    texts: () => texts,
    read,
    command: 'figures.save',
    keep: async (payload) => {
      offerUndo(await send('figures.save', payload), t.figures.kept(payload.name));
      onleave();
    },
    draft: {
      key: untrack(() => `figures:${set.id}:${copied}`),
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
    <Field label={t.figures.name} error={errors.name}>
      {#snippet children(entry)}<input {...entry} class="input" bind:value={texts.name} />{/snippet}
    </Field>
  </div>
  {#each FIGURE_PARTS as part (part)}
    <fieldset class="grid gap-3">
      <legend class="text-lg text-faded mb-1">{t.figures.parts[part]}</legend>
      {#each texts.figures as figure, i (figure.of)}
        {#if FIGURES[figure.of].part === part}
          {@const { name, unit } = t.figures.names[figure.of]}
          <div class="grid grid-cols-[20rem_minmax(0,1fr)] gap-x-5 items-end max-md:grid-cols-1">
            <Field label={unit ? `${name}, ${unit}` : name} error={errors[`figures.${i}.value`]}>
              {#snippet children(entry)}
                <input {...entry} class="input" inputmode="decimal" bind:value={figure.value} />
              {/snippet}
            </Field>
            <input
              class="input"
              maxlength="200"
              aria-label={t.figures.reason(name)}
              bind:value={figure.reason}
            />
          </div>
        {/if}
      {/each}
    </fieldset>
  {/each}
  {#if errors['']}<p class="wrong" role="alert">{errors['']}</p>{/if}
  <div class="row-of-actions">
    <button class="btn btn-primary">{t.profiles.keep}</button>
    <button type="button" class="btn btn-secondary" onclick={leave}>{t.common.cancel}</button>
  </div>
</form>
