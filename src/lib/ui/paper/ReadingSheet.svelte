<!-- @component Readings of an instrument on a field sheet: when each was taken, its figure and the warmth. -->
<script lang="ts">
  import { formatTapeTime } from '$lib/core';
  import { t } from '$lib/words';
  import type { Profile } from '$lib/words/profile';
  import Field from '../fields/Field.svelte';
  import SheetTable from './SheetTable.svelte';
  import type { SheetReading, SheetTexts } from './sheet';

  type Props = {
    texts: SheetTexts;
    readings: readonly SheetReading[];
    tool: 'hydrometer' | 'pipette';
    errors: Record<string, string | undefined>;
    temperature: Profile['temperature'];
  };
  let { texts = $bindable(), readings, tool, errors, temperature }: Props = $props();
</script>

<SheetTable
  heads={[
    t.cylinder.column.no,
    t.paper.asked,
    t.paper.after,
    t.cylinder.column.value[tool],
    `${t.cylinder.column.temp}, °${temperature}`
  ]}
>
  {#each readings as { no, askedS } (no)}
    <tr>
      <th class="max-sm:col-span-full" scope="row">{no + 1}</th>
      <td>{formatTapeTime(askedS)}</td>
      {#each [{ key: 'after' as const, label: t.paper.afterReading(no + 1), hint: formatTapeTime(askedS) }, { key: 'value' as const, label: t.cylinder.valueOf(no + 1), hint: '' }, { key: 'temp' as const, label: t.cylinder.tempOf(no + 1), hint: '' }] as field (field.key)}
        <td>
          <Field label={field.label} error={errors[`${field.key}-${no}`]}>
            {#snippet children(entry)}
              <input {...entry} class="input" bind:value={texts[field.key][no]} placeholder={field.hint} />
            {/snippet}
          </Field>
        </td>
      {/each}
    </tr>
  {/each}
</SheetTable>
