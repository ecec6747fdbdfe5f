<!-- @component Needs, prices and rules of thumb as they are written: each with its value and its reason. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { FIGURE_IDS, FIGURE_PARTS, FIGURES, type FigureSet } from '$lib/core';
  import { t } from '$lib/words';
  import type { FieldErrors } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { readNumber } from '$lib/workbench/entry/figure';
  import ProfileForm from './ProfileForm.svelte';

  /** `key` is what it is kept as: its own, or that of a copy. */
  type Props = { set: FigureSet; key: string; copied: boolean; onleave: () => void };
  let { set, key, copied, onleave }: Props = $props();

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

  const figuresIn = (written: typeof texts.figures, errors: FieldErrors) =>
    written.map(({ of, value: text, reason }, i) => {
      const value = text.trim() === '' ? null : readNumber(text);
      if (Number.isNaN(value)) errors[`figures.${i}.value`] = t.act.number;
      return { of, value, reason };
    });
</script>

<ProfileForm
  command="figures.save"
  from={set.id}
  {copied}
  bind:texts
  read={({ name, figures }, errors) => ({
    figuresKey: key,
    fromKey: set.id,
    name,
    figures: figuresIn(figures, errors)
  })}
  label={t.figures.name}
  said={t.figures.kept}
  {onleave}
>
  {#snippet children(errors)}
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
  {/snippet}
</ProfileForm>
