<!-- @component How a table is read: what its figures are, their units, decimals, days, and which row names the columns. -->
<script lang="ts">
  import type { LengthUnit } from '$lib/core';
  import type { Matching } from '$lib/formats/table/columns';
  import type { TableRecord } from '$lib/formats/table/text';
  import { t } from '$lib/words';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';

  type Props = {
    matching: Matching;
    /** What was guessed, and should be looked at. */
    unsure: readonly string[];
    /** The first rows: one of them may name the columns. */
    top: readonly TableRecord[];
    onchange: (fields: Partial<Matching>) => void;
    onhead: (row: number) => void;
  };
  let { matching, unsure, top, onchange, onhead }: Props = $props();

  const words = t.taking;
  const optionsOf = <K extends string>(names: Record<K, string>) =>
    (Object.entries(names) as [K, string][]).map(([value, label]) => ({ value, label }));
  const units = (['mm', 'cm', 'in'] as LengthUnit[]).map((value) => ({ value, label: value }));
  const heights = $derived(matching.figures === 'thickness' || matching.figures === 'tops');
  const has = (...fields: string[]) => matching.fields.some((field) => fields.includes(field));
</script>

<div class="flex flex-wrap gap-x-8 gap-y-4">
  <Choice
    label={words.figures}
    value={matching.figures}
    options={optionsOf(words.figuresAre)}
    onchange={(figures) => onchange({ figures })}
  />
  {#if heights}
    <Choice
      label={words.unit}
      value={matching.unit}
      options={units}
      onchange={(unit) => onchange({ unit })}
    />
  {/if}
  {#if has('depth', 'depthFrom', 'depthTo')}
    <Choice
      label={words.depthUnit}
      value={matching.depthUnit}
      options={units}
      onchange={(depthUnit) => onchange({ depthUnit })}
    />
  {/if}
  <Choice
    label={words.decimals}
    value={matching.decimals}
    options={optionsOf(words.decimalsAre)}
    onchange={(decimals) => onchange({ decimals })}
  />
  {#if has('takenOn')}
    <Choice
      label={words.days}
      value={matching.days}
      options={optionsOf(words.daysAre)}
      onchange={(days) => onchange({ days })}
    />
  {/if}
  <Field label={words.head}>
    {#snippet children(at)}
      <select
        {...at}
        class="select max-w-[22rem]"
        value={matching.head}
        onchange={(e) => onhead(Number(e.currentTarget.value))}
      >
        {#each top as { no, cells } (no)}<option value={no}>{words.headRow(no, cells)}</option>{/each}
        <option value={0}>{words.noHead}</option>
      </select>
    {/snippet}
  </Field>
</div>
{#if unsure.length > 0}
  <p class="mt-3">{words.guessed(unsure.map((one) => words.unsure[one as keyof typeof words.unsure]))}</p>
{/if}
