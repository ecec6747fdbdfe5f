<!-- @component What one piece tells: how it fell, how long it is, or its sides, mass and what the gauge showed. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { DROPS, SOAK_LOOKS, type Fractions } from '$lib/core';
  import type { TrialRecord } from '$lib/contract/records/trial';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import type { PieceView } from '$lib/workbench/trials';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import TextField from '../fields/TextField.svelte';
  import { commandForm } from '../fields/command-form.svelte';
  import { PIECE_FIELDS, pieceTexts, readPiece, simulatedReading } from './piece';

  type Props = {
    trial: TrialRecord;
    piece: PieceView;
    /** Shares of its soil, for the simulated press. */
    soil: Fractions | null;
    onkept: () => void;
    format: Format;
  };
  let { trial, piece, soil, onkept, format }: Props = $props();

  const unit = $derived(format.profile.length);
  const pieceId = untrack(() => piece.record?.id ?? ulid());
  let texts = $state(untrack(() => pieceTexts(piece, trial, unit)));
  const block = $derived(trial.kind === 'block');
  const fell = $derived(piece.soaked && texts.look === 'falls');
  /** Another block breaks at another pressure. */
  let seed = untrack(() => trial.createdAt % 1000) + untrack(() => piece.no);

  const form = commandForm({
    id: untrack(() => `piece-${piece.no}`),
    texts: () => texts,
    read: (o) => readPiece(o, { trial, piece, unit, pieceId }),
    command: 'piece.keep',
    names: PIECE_FIELDS,
    keep: async (payload) => {
      const sent = await send('piece.keep', payload);
      offerUndo(sent, t.trial.done.piece(trial.code, piece.no));
      onkept();
    },
    draft: {
      key: untrack(() => `piece:${trial.id}:${piece.no}`),
      take: (kept) => (texts = kept),
      measured: { lengths: ['length', 'sides'] }
    }
  });
  const errors = $derived(form.errors);

  function simulate() {
    const shown = simulatedReading(trial, piece, { texts, unit, soil, seed });
    seed += 100;
    if (shown !== undefined) texts = { ...texts, gauge: `${shown} MPa`, simulated: true };
  }
  const canSimulate = $derived(simulatedReading(trial, piece, { texts, unit, soil, seed: 1 }) !== undefined);
</script>

<form
  class="grid grid-cols-[repeat(auto-fit,minmax(9rem,1fr))] gap-x-5 gap-y-3 py-3 max-w-[44rem]"
  use:form.enhance
  method="POST"
  novalidate
>
  {#if trial.kind === 'ball'}
    <Field label={t.trial.fields.drop} error={errors.drop}>
      {#snippet children(entry)}
        <select {...entry} class="select" bind:value={texts.drop}>
          <option value=""></option>
          {#each DROPS as drop (drop)}<option value={drop}>{t.trial.drops[drop]}</option>{/each}
        </select>
      {/snippet}
    </Field>
  {/if}
  {#if trial.kind === 'ribbon' || trial.kind === 'box'}
    <TextField label={t.trial.fields.length[trial.kind]} error={errors.length} bind:value={texts.length} />
  {/if}
  {#if trial.kind === 'box'}
    <label class="flex items-center gap-2 min-h-touch self-end">
      <input type="checkbox" class="checkbox" bind:checked={texts.cracked} />
      {t.trial.fields.cracked}
    </label>
  {/if}
  {#if block}
    {#if piece.soaked}
      <Field label={t.trial.fields.look} error={errors.look}>
        {#snippet children(entry)}
          <select {...entry} class="select" bind:value={texts.look}>
            <option value=""></option>
            {#each SOAK_LOOKS as look (look)}<option value={look}>{t.trial.looks[look]}</option>{/each}
          </select>
        {/snippet}
      </Field>
    {/if}
    {#each t.trial.fields.sides as label, i (label)}
      <TextField {label} error={i === 0 ? errors.sides : undefined} bind:value={texts.sides[i]} />
    {/each}
    <TextField label={t.trial.fields.mass} error={errors.mass} inputmode="decimal" bind:value={texts.mass} />
    {#if piece.soaked && !fell}
      <TextField
        label={t.trial.fields.wetMass}
        error={errors.wetMass}
        inputmode="decimal"
        bind:value={texts.wetMass}
      />
    {/if}
    {#if !fell}
      <Field
        label={t.trial.fields.gauge}
        error={errors.gauge}
        hint={texts.simulated ? t.trial.simulatedWhy : undefined}
      >
        {#snippet children(entry)}
          <input
            {...entry}
            class="input"
            autocomplete="off"
            value={texts.gauge}
            oninput={(e) => (texts = { ...texts, gauge: e.currentTarget.value, simulated: false })}
          />
        {/snippet}
      </Field>
      {#if canSimulate}
        <p class="self-end">
          <button type="button" class="link min-h-touch" onclick={simulate}>{t.trial.simulate}</button>
        </p>
      {/if}
    {/if}
  {/if}
  <div class="col-span-full">
    <TextField label={t.trial.fields.note} error={errors.note} maxlength={500} bind:value={texts.note} />
  </div>
  {#if errors['']}<p class="wrong col-span-full" role="alert">{errors['']}</p>{/if}
  <p class="col-span-full"><button class="btn btn-primary">{t.trial.keepPiece}</button></p>
</form>
