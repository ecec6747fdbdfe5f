<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { formatPressure } from '$lib/core';
  import { offerUndo, problemText, record } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { outbox, send } from '$lib/browser/outbox.svelte';
  import { sayProblem } from '$lib/browser/toasts';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import CureLine from '$lib/ui/trial/CureLine.svelte';
  import PieceList from '$lib/ui/trial/PieceList.svelte';
  import ToldBefore from '$lib/ui/trial/ToldBefore.svelte';
  import TrialDrawing from '$lib/ui/trial/TrialDrawing.svelte';
  import TrialForm from '$lib/ui/trial/TrialForm.svelte';
  import TrialPress from '$lib/ui/trial/TrialPress.svelte';
  import TrialResult from '$lib/ui/trial/TrialResult.svelte';
  import { withWaiting } from '$lib/contract/waiting';
  import { viewTrial } from '$lib/workbench/trials';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';
  import { stepTime } from '$lib/words/steps';
  import { mixLine, trialVerdict } from '$lib/words/trial';

  let { data } = $props();
  let correcting = $state(false);
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const view = $derived(
    viewTrial(withWaiting('trial', [data.trial], outbox.waiting)[0], data.usual, clock.now)
  );
  const { trial, step } = $derived(view);
  const open = $derived(trial.finishedAt === null);
  const cures = $derived(trial.kind === 'box' || trial.kind === 'block');
  /** What it is, in one line each: of what, how it was formed, how it waits. */
  const facts = $derived([
    `${t.trial.made(trial.count, trial.kind)}${trial.soaked > 0 ? `, ${t.trial.ofThem(trial.soaked)}` : ''}: ${mixLine(trial)}`,
    [
      trial.waterPct === null ? '' : t.trial.formedWith(t.trial.ofWater(`${trial.waterPct} %`)),
      trial.pressure ? t.trial.atPressure(formatPressure(trial.pressure.mpa)) : ''
    ]
      .filter(Boolean)
      .join(' '),
    [
      trial.formedAt === null ? '' : t.trial.formedAt(format.when(trial.formedAt, clock.now)),
      cures ? t.trial.cureFor(String(trial.cureDays)) : '',
      trial.soaked > 0 ? t.trial.soakFor(String(trial.soakDays)) : ''
    ]
      .filter(Boolean)
      .join(', ')
  ]);

  async function remove() {
    try {
      const sent = await send('trial.remove', { trialId: trial.id });
      offerUndo(sent, t.trial.done.remove(trial.code));
      await goto('/trials');
    } catch (problem) {
      sayProblem(problemText(problem));
    }
  }
</script>

<div
  class="pt-5 grid grid-cols-[minmax(0,420px)_minmax(0,1fr)] gap-x-9 gap-y-5 items-start max-md:grid-cols-1"
>
  <div>
    <h1 class="text-3xl">{t.trial.kinds[trial.kind].title} {trial.code}</h1>
    <p class="faded mt-2">
      <a class="link" href="/samples/{trial.sampleId}">{trial.sampleCode} {trial.sampleName}</a>
    </p>
    {#each facts.filter(Boolean) as fact (fact)}<p>{fact}</p>{/each}
    {#if trial.note}<p>{trial.note}</p>{/if}
    <div class="mt-4"><TrialDrawing {view} /></div>
    {#if cures && open}<CureLine tasks={view.tasks} formedAt={trial.formedAt} now={clock.now} {format} />{/if}
  </div>
  <div class="grid grid-cols-[minmax(0,1fr)] gap-5">
    {#if step}
      <section class="border-l-3 border-pen pl-4 no-print" aria-label={t.due.label}>
        <p class="text-xl font-head font-[650]">{t.trial.step[step.kind]}</p>
        <p class="text-lg text-pen tabular-nums mb-3">
          {#if step.state !== 'ready'}{stepTime(step, format, clock.now)}{/if}
        </p>
        <TrialPress {view} />
        {#if step.kind === 'form'}
          <Fold label={t.trial.formedBefore}><ToldBefore {trial} what="form" /></Fold>
        {:else if step.kind === 'soak'}
          <Fold label={t.trial.soakedBefore}><ToldBefore {trial} what="soak" /></Fold>
        {/if}
      </section>
    {/if}
    <section aria-label={t.trial.tells}><TrialResult {view} {format} /></section>
    <section aria-label={t.trial.pieces}>
      <h2 class="text-lg">{t.trial.pieces}</h2>
      <PieceList {view} photos={data.photos} soil={data.soil} {format} now={clock.now} />
    </section>
    <p class="flex flex-wrap gap-x-5 no-print">
      <a class="link" href="/trials">{t.trial.beside}</a>
      {#if data.testId}<a class="link" href="/act?test={data.testId}&ask=wall">{t.wall.title}</a>{/if}
    </p>
    {#if data.others.length > 0}
      <section aria-label={t.trial.ofSample}>
        <h2 class="text-lg">{t.trial.ofSample}</h2>
        <ul class="plain-list">
          {#each data.others as other (other.id)}
            {@const { tells } = viewTrial(other, data.usual, clock.now)}
            <li class="py-1">
              <a class="link" href="/trials/{other.id}">{other.code}</a>
              {t.trial.kinds[other.kind].many}, {mixLine(other)}{tells.says
                ? `: ${trialVerdict(tells, data.usual, format)}`
                : ''}
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    {#if open}
      <Fold label={t.trial.correct} bind:open={correcting}>
        <div class="py-3 max-w-[42rem]">
          <TrialForm
            samples={[]}
            asked={{ sample: null, kind: trial.kind, mix: '' }}
            figures={data.usual}
            {trial}
            onkept={() => (correcting = false)}
            {format}
          />
        </div>
      </Fold>
    {/if}
    <p class="flex flex-wrap gap-4 no-print">
      {#if !open}
        <button
          type="button"
          class="btn btn-secondary"
          onclick={() => record('trial.reopen', { trialId: trial.id }, t.trial.done.reopen(trial.code))}
          >{t.trial.reopen}</button
        >
      {:else if trial.pieces.length > 0 && step?.kind !== 'finish'}
        <button
          type="button"
          class="btn btn-secondary"
          onclick={() => record('trial.finish', { trialId: trial.id }, t.trial.done.finish(trial.code))}
          >{t.trial.finish}</button
        >
      {/if}
      <button type="button" class="btn btn-secondary" onclick={remove}>{t.trial.remove}</button>
    </p>
    <p class="caution small">{t.trial.caution}</p>
  </div>
</div>
