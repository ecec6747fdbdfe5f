<!-- @component The pieces of a set, one by one: what each told, and the form of the one that is told now. -->
<script lang="ts">
  import { formatPressure, type Fractions } from '$lib/core';
  import type { PhotoRecord } from '$lib/contract/records/ground';
  import { record } from '$lib/browser/actions';
  import { isRipe, type PieceView, type TrialView } from '$lib/workbench/trials';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import Photos from '../photos/Photos.svelte';
  import PieceForm from './PieceForm.svelte';

  type Props = {
    view: TrialView;
    photos: readonly PhotoRecord[];
    soil: Fractions | null;
    format: Format;
    now: number;
  };
  let { view, photos, soil, format, now }: Props = $props();

  const { trial, pieces } = $derived(view);
  const open = $derived(trial.finishedAt === null);
  /** Those that can tell by now: the dry ones once formed, the soaked ones once they lie in the water. */
  const can = (piece: PieceView) =>
    open && trial.formedAt !== null && (!piece.soaked || trial.soakedAt !== null);
  let picked = $state<number>();
  /** The piece that a picture is added to. */
  let pictured = $state<string>();
  /** The first whose time has come and that has not told, until somebody picks another. */
  const first = $derived(pieces.find((piece) => can(piece) && !piece.record && isRipe(view, piece, now))?.no);
  const told = $derived(picked ?? first);

  function said({ record: kept, tells }: PieceView): string {
    const seen = kept?.seen ?? {};
    return [
      seen.look ? t.trial.looks[seen.look] : undefined,
      tells?.strengthMpa === undefined ? undefined : formatPressure(tells.strengthMpa),
      seen.drop ? t.trial.drops[seen.drop] : undefined,
      trial.kind === 'ribbon' && seen.length ? format.length(seen.length.mm) : undefined,
      tells?.shrinksPct === undefined ? undefined : t.trial.shrinks(`${tells.shrinksPct.toFixed(1)} %`),
      seen.cracked ? t.trial.fields.cracked : undefined,
      tells?.densityKgM3 === undefined ? undefined : t.trial.density(tells.densityKgM3.toFixed(0)),
      tells?.takesUpPct === undefined ? undefined : t.trial.takesUp(`${tells.takesUpPct.toFixed(0)} %`)
    ]
      .filter(Boolean)
      .join(' · ');
  }
  const waits = (piece: PieceView) =>
    trial.formedAt === null
      ? t.trial.toMake
      : piece.soaked && trial.soakedAt !== null
        ? t.trial.inWater
        : isRipe(view, piece, now)
          ? t.trial.ripe
          : t.trial.curing;
</script>

<ol class="plain-list" id="pieces">
  {#each pieces as piece (piece.no)}
    {@const { no, record: kept, tells } = piece}
    <li class="border-b border-hair py-2 break-inside-avoid">
      <div class="flex flex-wrap items-center gap-x-5 gap-y-1 min-h-touch">
        <strong class="tabular-nums">{t.trial.piece(no)}</strong>
        {#if trial.kind === 'block'}<span class="faded small">{piece.soaked ? t.trial.wet : t.trial.dry}</span
          >{/if}
        <span class={kept ? 'text-lg' : 'faded'}>{kept ? said(piece) : waits(piece)}</span>
        {#if kept?.simulated}<span class="faded small">{t.trial.simulated}</span>{/if}
        {#if can(piece) && told !== no}
          <button
            type="button"
            class="link min-h-touch no-print"
            aria-label={`${kept ? t.trial.change : t.trial.keepPiece}: ${t.trial.piece(no)}`}
            onclick={() => (picked = no)}>{kept ? t.trial.change : t.trial.keepPiece}</button
          >
        {/if}
        {#if kept && !photos.some((photo) => photo.subjectId === kept.id)}
          <button
            type="button"
            class="link min-h-touch no-print"
            aria-label={`${t.trial.picture}: ${t.trial.piece(no)}`}
            onclick={() => (pictured = kept.id)}>{t.trial.picture}</button
          >
        {/if}
        {#if kept && open}
          <button
            type="button"
            class="link min-h-touch no-print"
            aria-label={t.trial.takeOff(no)}
            onclick={() =>
              record(
                'piece.remove',
                { trialId: trial.id, pieceId: kept.id },
                t.trial.done.unpiece(trial.code, no)
              )}>{t.ground.takeOff}</button
          >
        {/if}
      </div>
      {#if kept?.note}<p class="small">{kept.note}</p>{/if}
      {#if piece.problem}<p class="wrong" role="alert">{piece.problem}</p>{/if}
      {#if kept?.seen.gauge && tells?.forceKn !== undefined && tells.areaMm2 !== undefined && trial.piston}
        <p class="faded small">
          {t.trial.working(
            kept.seen.gauge.text,
            format.length(trial.piston.mm),
            `${tells.areaMm2.toFixed(0)} mm²`,
            `${tells.forceKn.toFixed(1)} kN`
          )}: {formatPressure(tells.strengthMpa ?? 0)}
        </p>
      {/if}
      {#if can(piece) && told === no}
        {#key kept?.id}<PieceForm {trial} {piece} {soil} onkept={() => (picked = undefined)} {format} />{/key}
      {/if}
      {#if kept}
        {@const own = photos.filter((photo) => photo.subjectId === kept.id)}
        {#if own.length > 0 || pictured === kept.id}
          <Photos photos={own} subject="piece" subjectId={kept.id} name={t.trial.piece(no)} {format} camera />
        {/if}
      {/if}
    </li>
  {/each}
</ol>
