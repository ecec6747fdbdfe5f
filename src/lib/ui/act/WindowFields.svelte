<!-- @component The windows of what is judged by, as they are written: each with its bounds and its reason. -->
<script lang="ts" generics="Of extends string">
  import { t } from '$lib/words';
  import type { FieldErrors } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import type { WindowTexts } from './windows';

  type Props = {
    windows: WindowTexts<Of>[];
    /** What may be asked of, and its name with the unit. */
    all: readonly Of[];
    nameOf: (of: Of) => { name: string; unit: string };
    errors: FieldErrors;
    /** Whether what is best within a window is asked, too. */
    best?: boolean;
  };
  let { windows = $bindable(), all, nameOf, errors, best = false }: Props = $props();

  const free = $derived(all.filter((of) => !windows.some((w) => w.of === of)));
  const labelOf = (of: Of) => {
    const { name, unit } = nameOf(of);
    return unit ? `${name}, ${unit}` : name;
  };
  const sides = $derived([
    ['least', 'least'],
    ['most', 'most'],
    ...(best
      ? ([
          ['bestLeast', 'best.least'],
          ['bestMost', 'best.most']
        ] as const)
      : [])
  ] as const);
</script>

{#each windows as window, i (window)}
  <fieldset
    class="grid gap-x-5 gap-y-2 items-end max-md:grid-cols-2 {best
      ? 'grid-cols-[11rem_repeat(4,4.6rem)_minmax(0,1fr)_auto]'
      : 'grid-cols-[12rem_6rem_6rem_minmax(0,1fr)_auto]'}"
  >
    <legend class="sr-only">{nameOf(window.of).name}</legend>
    <Field label={t.act.beds.of} error={errors[`windows.${i}.of`]}>
      {#snippet children(entry)}
        <select {...entry} class="select" bind:value={window.of}>
          {#each all as of (of)}<option value={of}>{labelOf(of)}</option>{/each}
        </select>
      {/snippet}
    </Field>
    {#each sides as [key, field] (key)}
      <Field label={t.act.beds[key]} error={errors[`windows.${i}.${field}`]}>
        {#snippet children(entry)}
          <input {...entry} class="input" inputmode="decimal" bind:value={window[key]} />
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
      aria-label={t.act.beds.dropWindow(nameOf(window.of).name)}
      onclick={() => windows.splice(i, 1)}>{t.ground.takeOff}</button
    >
  </fieldset>
{/each}
{#if errors.windows}<p class="wrong" role="alert">{errors.windows}</p>{/if}
{#if free.length > 0}
  <p>
    <button
      type="button"
      class="link min-h-touch"
      onclick={() =>
        windows.push({ of: free[0], least: '', most: '', bestLeast: '', bestMost: '', reason: '' })}
      >{t.act.beds.addWindow}</button
    >
  </p>
{/if}
