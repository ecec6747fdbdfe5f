<!-- @component What three tapes say of a practice jar: by height, by mass between them, as it is estimated from them, and the truth. -->
<script lang="ts">
  import {
    pointsApart,
    roundShares,
    tapesAsEvidence,
    tapesSay,
    truthOf,
    type Fractions,
    type JarTrack,
    type TapeCut
  } from '$lib/core';
  import { EstimateWork } from '$lib/browser/work';
  import { t } from '$lib/words';
  import DataTable, { type Column } from '../kit/DataTable.svelte';

  type Props = { track: JarTrack; tapes: readonly TapeCut[]; dispersant: boolean; told: boolean };
  let { track, tapes, dispersant, told }: Props = $props();

  const w = t.practice.jar;
  const work = new EstimateWork();
  const says = $derived(tapesSay(track, tapes));
  $effect(() => work.ask(says && tapesAsEvidence(track, tapes, dispersant)));
  type Row = { id: string; name: string; f?: Fractions; truth?: boolean };
  const truth = $derived(truthOf(track));
  const rows = $derived.by((): Row[] => {
    if (!says) return [];
    return [
      { id: 'height', name: w.byHeight, f: says.byHeight },
      ...(told ? [{ id: 'mass', name: w.byMass, f: says.byMass }] : []),
      { id: 'estimate', name: w.estimate, f: work.answer?.fractions },
      ...(told ? [{ id: 'truth', name: w.truth, f: truth, truth: true }] : [])
    ];
  });
  const share = (row: Row, at: 0 | 1 | 2) =>
    row.f ? t.common.percent(roundShares([row.f.sand, row.f.silt, row.f.clay])[at]) : '…';
  const columns = $derived<Column<Row>[]>([
    { id: 'name', head: w.say, text: (r) => r.name, namesRow: true },
    ...(['sand', 'silt', 'clay'] as const).map((part, i) => ({
      id: part,
      head: t.layer[part],
      text: (r: Row) => share(r, i as 0 | 1 | 2),
      num: true
    })),
    {
      id: 'off',
      head: w.offHead,
      headUnseen: true,
      text: (r) => (told && r.f && !r.truth ? w.off(pointsApart(r.f, truth).toFixed(1)) : ''),
      num: true
    }
  ]);
</script>

{#if says}<div class="max-w-wide">
    <DataTable {rows} {columns} key={(r) => r.id} class="tight" />
    {#if work.problem}<p class="small faded">{work.problem}</p>{/if}
  </div>{/if}
