<!-- @component Which soil, and what it is to be: a finished test, a bottle, an area, or two percentages; a bed or a bore. -->
<script lang="ts">
  import type { Fractions } from '$lib/core';
  import { t } from '$lib/words';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import PickOptions from '../fields/PickOptions.svelte';
  import { restOf } from '../know/typed';
  import { AREA, type ActEntry } from './acting.svelte';

  type Test = { id: string; code: string; name: string };
  type Props = {
    entry: ActEntry;
    data: {
      chosen: { id: string; code: string; sample: { name: string } } | null;
      tests: readonly Test[];
      alone: readonly (Test & { layer: 'sand' | 'clay' })[];
      areas: readonly { id: string; name: string }[];
      beds: readonly { id: string; name: string }[];
      figures: readonly { id: string; name: string }[];
    };
    /** What is wrong with the percentages that are typed. */
    errors: Partial<Record<keyof Fractions, string>>;
    /** Told of the soil that is picked: the id of a test, an area, or nothing. */
    onpick: (id: string) => void;
    ontyped: () => void;
  };
  let { entry = $bindable(), data, errors, onpick, ontyped }: Props = $props();
  const rest = $derived(restOf(entry));
  /** The newest, and no more: an older one stands beside them once it is chosen. */
  const offered = $derived(new Set([...data.tests, ...data.alone].map(({ id }) => id)));
</script>

<div class="no-print flex flex-wrap items-end gap-x-7 gap-y-3">
  <Field label={t.act.soil}>
    {#snippet children(at)}
      <select
        {...at}
        class="select min-w-[15rem]"
        value={data.chosen?.id ?? ''}
        onchange={(e) => onpick(e.currentTarget.value)}
      >
        <option value="">{t.act.byNumbers}</option>
        {#if data.chosen && !offered.has(data.chosen.id)}
          <PickOptions of={[{ ...data.chosen, name: data.chosen.sample.name }]} />
        {/if}
        <PickOptions of={data.tests} />
        {#each ['sand', 'clay'] as const as layer (layer)}
          {@const own = data.alone.filter((one) => one.layer === layer)}
          {#if own.length > 0}
            <optgroup label={t.act.alone[layer]}>
              <PickOptions of={own} />
            </optgroup>
          {/if}
        {/each}
        {#if data.areas.length > 0}
          <optgroup label={t.act.areas}>
            {#each data.areas as area (area.id)}<option value="{AREA}{area.id}"
                >{t.act.newestOf(area.name)}</option
              >{/each}
          </optgroup>
        {/if}
      </select>
    {/snippet}
  </Field>
  {#if !data.chosen}
    {#each ['sand', 'silt', 'clay'] as const as part (part)}
      <Field label={`${t.Layer[part]}, %`} error={errors[part]}>
        {#snippet children(at)}<input
            {...at}
            class="input w-[6rem]"
            inputmode="decimal"
            bind:value={entry[part]}
            placeholder={rest[part] ?? ''}
            oninput={ontyped}
          />{/snippet}
      </Field>
    {/each}
  {/if}
  <Choice
    label={t.act.ask}
    bind:value={entry.ask}
    options={(['bed', 'bore', 'wall'] as const).map((value) => ({ value, label: t.act.asks[value] }))}
  />
  {#if entry.ask === 'bed'}
    <Field label={t.act.bed}>
      {#snippet children(at)}
        <select {...at} class="select" bind:value={entry.bed}>
          {#each data.beds as profile (profile.id)}<option value={profile.id}>{profile.name}</option>{/each}
        </select>
      {/snippet}
    </Field>
  {/if}
  {#if data.figures.length > 1}
    <Field label={t.figures.which}>
      {#snippet children(at)}
        <select {...at} class="select" bind:value={entry.by}>
          {#each data.figures as set (set.id)}<option value={set.id}>{set.name}</option>{/each}
        </select>
      {/snippet}
    </Field>
  {/if}
  <p class="flex items-center gap-4 min-h-touch">
    {#if entry.ask === 'bed'}<a class="link" href="/act/beds">{t.act.beds.link}</a>{/if}
    {#if entry.ask === 'wall'}<a class="link" href="/act/techniques">{t.wall.techniques.link}</a>
      <a class="link" href="/act/folders">{t.folder.link}</a>{/if}
    <a class="link" href="/act/figures">{t.figures.link}</a>
  </p>
</div>
