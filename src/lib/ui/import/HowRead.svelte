<!-- @component How a table is read: what its figures are, their units, decimals, days, and whether the first row names the columns. -->
<script lang="ts">
  import type { LengthUnit } from '$lib/core';
  import type { Matching } from '$lib/formats/table/columns';
  import { t } from '$lib/words';
  import Choice from '../fields/Choice.svelte';

  type Props = {
    matching: Matching;
    /** What was guessed, and should be looked at. */
    unsure: readonly string[];
    onchange: (fields: Partial<Matching>) => void;
  };
  let { matching, unsure, onchange }: Props = $props();

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
  <label class="flex items-center gap-3 min-h-touch self-end">
    <input
      class="checkbox"
      type="checkbox"
      checked={matching.header}
      onchange={(e) => onchange({ header: e.currentTarget.checked })}
    />
    {words.header}
  </label>
</div>
{#if unsure.length > 0}
  <p class="mt-3">{words.guessed(unsure.map((one) => words.unsure[one as keyof typeof words.unsure]))}</p>
{/if}
