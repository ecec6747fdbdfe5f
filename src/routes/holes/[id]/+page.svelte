<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { formatTapeTime } from '$lib/core';
  import { offerUndo, problemText, record } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { outbox, send } from '$lib/browser/outbox.svelte';
  import { sayProblem } from '$lib/browser/toasts';
  import BesideJars from '$lib/ui/hole/BesideJars.svelte';
  import DigHole from '$lib/ui/hole/DigHole.svelte';
  import HoleDrawing from '$lib/ui/hole/HoleDrawing.svelte';
  import HolePress from '$lib/ui/hole/HolePress.svelte';
  import HoleResult from '$lib/ui/hole/HoleResult.svelte';
  import HoleSeen from '$lib/ui/hole/HoleSeen.svelte';
  import SeenBefore from '$lib/ui/hole/SeenBefore.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { afterRefillS, viewHole, waterNow } from '$lib/workbench/holes';
  import { withWaiting } from '$lib/contract/waiting';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';
  import { stepTime } from '$lib/words/steps';

  let { data } = $props();
  let correcting = $state(false);
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const view = $derived(viewHole(withWaiting('hole', [data.hole], outbox.waiting)[0], clock.now));
  const { hole, step } = $derived(view);
  const tapes = $derived(
    hole.readings.flatMap(({ at, seen, height }) => {
      const mm = seen === 'gone' ? 0 : height?.mm;
      return mm === undefined ? [] : [{ mm, text: formatTapeTime(afterRefillS(hole, at)) }];
    })
  );
  const ground = $derived(`/plan/ground/${hole.siteId}?area=${hole.areaId}`);

  async function remove() {
    try {
      const sent = await send('hole.remove', { holeId: hole.id });
      offerUndo(sent, t.hole.done.remove(hole.code));
      await goto(ground);
    } catch (problem) {
      sayProblem(problemText(problem));
    }
  }
</script>

<div
  class="pt-5 grid grid-cols-[minmax(0,400px)_minmax(0,1fr)] gap-x-9 gap-y-5 items-start max-md:grid-cols-1"
>
  <div>
    <h1 class="text-3xl">{t.hole.title} {hole.code}</h1>
    <p class="faded mt-2">
      <a class="link" href={ground}>{hole.areaName}</a>{hole.spotNo === null
        ? ''
        : `, ${t.hole.spotNo(hole.spotNo)}`} · {t.hole.measures(
        format.length(hole.depth.mm),
        format.length(hole.width.mm)
      )}{hole.notes.map((n) => ` · ${t.hole.noteOf[n]}`).join('')}
    </p>
    {#if hole.note}<p>{hole.note}</p>{/if}
    <div class="mt-4 max-w-[400px]">
      <HoleDrawing
        code={hole.code}
        depthMm={hole.depth.mm}
        widthMm={hole.width.mm}
        waterMm={waterNow(view, clock.now)}
        {tapes}
        {format}
      />
    </div>
  </div>
  <div class="grid gap-5">
    {#if step}
      <section class="border-l-3 border-pen pl-4" aria-label={t.due.label}>
        <p class="text-xl font-head font-[650]">{t.hole.step[step.kind]}</p>
        <p class="text-lg text-pen tabular-nums mb-3">
          {#if step.state !== 'ready'}{stepTime(step, format, clock.now)}{/if}
        </p>
        <HolePress {view} {format} />
      </section>
    {/if}
    <section aria-label={t.hole.result.well}>
      <HoleResult {view} {format} now={clock.now} />
      <BesideJars {view} jars={data.beside} />
    </section>
    {#if hole.soakedAt !== null || hole.refilledAt !== null}
      <section aria-label={t.hole.seenTitle}>
        <h2 class="text-lg">{t.hole.seenTitle}</h2>
        <HoleSeen {view} {format} now={clock.now} />
        {#if hole.finishedAt === null && hole.refilledAt !== null}
          <Fold label={t.hole.after}><SeenBefore {hole} {format} /></Fold>
        {/if}
      </section>
    {/if}
    {#if hole.finishedAt === null}
      <Fold label={t.hole.correct} bind:open={correcting}>
        <div class="py-3 max-w-[42rem]">
          <DigHole areas={[]} asked={hole.areaId} {hole} onkept={() => (correcting = false)} {format} />
        </div>
      </Fold>
    {/if}
    {#if data.others.length > 0}
      <section aria-label={t.hole.others}>
        <h2 class="text-lg">{t.hole.others}</h2>
        <p>
          {#each data.others as other (other.id)}<a class="link mr-5" href="/holes/{other.id}">{other.code}</a
            >{/each}
        </p>
      </section>
    {/if}
    <p class="flex flex-wrap gap-4 no-print">
      {#if hole.finishedAt !== null}
        <button
          type="button"
          class="btn btn-secondary"
          onclick={() => record('hole.reopen', { holeId: hole.id }, t.hole.done.reopen(hole.code))}
          >{t.hole.reopen}</button
        >
      {/if}
      <button type="button" class="btn btn-secondary" onclick={remove}>{t.hole.remove}</button>
    </p>
    <p class="caution small">{t.hole.caution}</p>
  </div>
</div>
