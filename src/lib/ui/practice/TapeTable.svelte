<!-- @component The tapes of a practice jar: when and where each lies, and what of each size lies under it by mass. -->
<script lang="ts">
  import { page } from '$app/state';
  import { formatTapeTime, type TapeCut } from '$lib/core';
  import { formatFor } from '$lib/words/format';
  import { t } from '$lib/words';
  import DataTable, { type Column } from '../kit/DataTable.svelte';
  import DropButton from '../kit/DropButton.svelte';

  type Props = {
    tapes: readonly TapeCut[];
    /** Whether what it cuts may be told: the soil is known. */
    told: boolean;
    ondrop: (tape: TapeCut) => void;
  };
  let { tapes, told, ondrop }: Props = $props();
  const w = t.practice.jar;
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const columns = $derived<Column<TapeCut>[]>([
    { id: 'time', head: w.atTime, text: (c) => formatTapeTime(c.timeS), namesRow: true },
    { id: 'height', head: w.height, text: (c) => format.length(c.heightMm, 1), num: true },
    ...(['sand', 'silt', 'clay'] as const).map((part) => ({
      id: part,
      head: w.under[part],
      text: (c: TapeCut) => (told ? t.common.percent(Math.round(c.below[part])) : w.hidden),
      num: true
    })),
    { id: 'drop', head: w.takeOff(0), headUnseen: true, cell: drop }
  ]);
</script>

{#snippet drop(tape: TapeCut, at: number)}
  <DropButton label={w.takeOff(at + 1)} onclick={() => ondrop(tape)} />
{/snippet}

<div class="max-w-wide">
  <DataTable rows={tapes} {columns} key={(c) => String(c.timeS)} class="tight" />
</div>
