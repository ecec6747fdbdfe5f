<!-- @component A sheet that is made or mended: lines are added one by one, in the order in which they stand on it. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { DRILL_KEYS, LEVELS, type DrillKey, type SheetItem } from '$lib/core';
  import type { AskRefused } from '$lib/browser/asked';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import TextField from '$lib/ui/fields/TextField.svelte';
  import DropButton from '$lib/ui/kit/DropButton.svelte';
  import { t } from '$lib/words';
  import { itemWords } from './sheet-words';

  type Props = {
    /** A sheet that is mended; left out for one that is made. */
    sheet?: { title: string; items: readonly SheetItem[] };
    /** So many of its lines stay as they are: somebody has answered to them. */
    fixed?: number;
    saveLabel: string;
    /** Keeps it. @throws {AskRefused} beside the fields */
    onsave: (sheet: { title: string; items: SheetItem[] }) => Promise<void>;
  };
  let { sheet, fixed = 0, saveLabel, onsave }: Props = $props();
  const w = t.lessons;
  let title = $state(untrack(() => sheet?.title ?? ''));
  let items = $state.raw<SheetItem[]>(untrack(() => [...(sheet?.items ?? [])]));
  let kind = $state<SheetItem['kind']>('drill');
  let key = $state<DrillKey>('order');
  let level = $state(1);
  let count = $state(2);
  let stands = $state<'simulated' | 'real'>('simulated');
  let jarCode = $state('');
  let what = $state('');
  let errors = $state<Record<string, string>>({});
  let sending = $state(false);

  function add() {
    const wrong: Record<string, string> =
      kind === 'test' && what.trim() === ''
        ? { what: w.sheet.write }
        : kind === 'jar' && stands === 'real' && jarCode.trim() === ''
          ? { jarCode: w.sheet.write }
          : {};
    errors = wrong;
    if (Object.keys(wrong).length > 0) return;
    const item: SheetItem =
      kind === 'drill'
        ? { kind, key, level, count }
        : kind === 'calculation'
          ? { kind, level }
          : kind === 'jar'
            ? { kind, code: stands === 'real' ? jarCode.trim() : null }
            : { kind: 'test', what: what.trim() };
    items = [...items, item];
    what = jarCode = '';
  }
  async function make() {
    if (items.length === 0) {
      errors = { items: w.nothing };
      return;
    }
    sending = true;
    try {
      await onsave({ title, items });
    } catch (problem) {
      const { fields = {}, message } = problem as AskRefused;
      errors = Object.keys(fields).length > 0 ? fields : { items: message };
    }
    sending = false;
  }
  const numbers = (most: number) => Array.from({ length: most }, (_, i) => i + 1);
</script>

<form
  class="grid gap-5 max-w-wide"
  onsubmit={(e) => {
    e.preventDefault();
    void make();
  }}
>
  <div class="max-w-[26rem]">
    <TextField label={w.name} error={errors.title} bind:value={title} maxlength={80} />
  </div>
  <fieldset class="group">
    <legend>{w.lines}</legend>
    {#if fixed > 0}<p class="faded small">{w.mendFixed}</p>{/if}
    {#if items.length > 0}
      <ol class="plain-list w-full">
        {#each items as item, i (i)}
          <li class="flex items-center justify-between gap-4 line">
            <span>{i + 1}. {itemWords(item)}</span>
            {#if i >= fixed}
              <DropButton
                label={w.takeOff(itemWords(item))}
                onclick={() => (items = items.filter((_, at) => at !== i))}
              />
            {/if}
          </li>
        {/each}
      </ol>
    {/if}
    <Choice
      label={w.add}
      bind:value={kind}
      options={(['drill', 'calculation', 'jar', 'test'] as const).map((value) => ({
        value,
        label: w.kinds[value]
      }))}
    />
    <div class="flex flex-wrap items-end gap-x-5 gap-y-3">
      {#if kind === 'drill'}
        <Field label={w.drill}>
          {#snippet children(entry)}
            <select {...entry} class="select" bind:value={key}>
              {#each DRILL_KEYS as one (one)}<option value={one}>{t.drills.names[one]}</option>{/each}
            </select>
          {/snippet}
        </Field>
      {/if}
      {#if kind === 'drill' || kind === 'calculation'}
        <Field label={w.level}>
          {#snippet children(entry)}
            <select {...entry} class="select" bind:value={level}>
              {#each numbers(LEVELS) as one (one)}<option value={one}>{one}</option>{/each}
            </select>
          {/snippet}
        </Field>
      {/if}
      {#if kind === 'drill'}
        <Field label={w.count}>
          {#snippet children(entry)}
            <select {...entry} class="select" bind:value={count}>
              {#each numbers(10) as one (one)}<option value={one}>{one}</option>{/each}
            </select>
          {/snippet}
        </Field>
      {:else if kind === 'jar'}
        <Choice
          label={w.kinds.jar}
          hideLabel
          bind:value={stands}
          options={[
            { value: 'simulated', label: w.simulated },
            { value: 'real', label: w.real }
          ]}
        />
        {#if stands === 'real'}
          <TextField label={w.jarCode} error={errors.jarCode} bind:value={jarCode} maxlength={20} />
        {/if}
      {:else if kind === 'test'}
        <div class="w-[28rem] max-w-full">
          <TextField label={w.what} error={errors.what} bind:value={what} maxlength={200} />
        </div>
      {/if}
      <button type="button" class="btn btn-secondary" onclick={add}>{w.addIt}</button>
    </div>
  </fieldset>
  <div class="grid gap-2 justify-items-start">
    {#if errors.items}<p class="wrong" role="alert">{errors.items}</p>{/if}
    <button class="btn btn-primary" disabled={sending}>{saveLabel}</button>
  </div>
</form>

<style>
  .line {
    border-bottom: var(--line) solid var(--hair);
  }
</style>
