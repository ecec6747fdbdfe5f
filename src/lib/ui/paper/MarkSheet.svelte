<!-- @component Marks on a field sheet: when each was made, and how high it stands. -->
<script lang="ts">
  import { formatDuration, formatTapeTime, markWindow, type LengthUnit } from '$lib/core';
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import SheetTable from './SheetTable.svelte';
  import type { SheetMark, SheetTexts } from './sheet';

  type Props = {
    texts: SheetTexts;
    marks: readonly SheetMark[];
    errors: Record<string, string | undefined>;
    unit: LengthUnit;
  };
  let { texts = $bindable(), marks, errors, unit }: Props = $props();
</script>

<SheetTable heads={[t.jar.marks, t.paper.asked, t.paper.after, t.jar.height]}>
  {#each marks as { mark, afterS } (mark.layer)}
    <tr>
      <th class="max-sm:col-span-full" scope="row">{t.Layer[mark.layer]}</th>
      <td>{t.set.markWindow(formatDuration(mark.atS), formatDuration(markWindow(mark).untilS))}</td>
      <td>
        <Field
          label={t.paper.afterOf(t.layer[mark.layer])}
          hint={afterS === undefined ? undefined : t.paper.means(formatDuration(afterS))}
          error={errors[`after-${mark.layer}`]}
        >
          {#snippet children(entry)}
            <input
              {...entry}
              class="input"
              bind:value={texts.after[mark.layer]}
              placeholder={formatTapeTime(mark.atS)}
            />
          {/snippet}
        </Field>
      </td>
      <td>
        <Field label={t.paper.heightOf(t.layer[mark.layer])} error={errors[`height-${mark.layer}`]}>
          {#snippet children(entry)}
            <input {...entry} class="input" bind:value={texts.height[mark.layer]} placeholder={unit} />
          {/snippet}
        </Field>
      </td>
    </tr>
  {/each}
</SheetTable>
