<!-- @component Copies of the record: one a day by itself, looked through; one now; the whole bench as a file; and the way back to any of them. -->
<script lang="ts">
  import { onDestroy } from 'svelte';
  import { ulid } from 'ulid';
  import { askHowFar } from '$lib/browser/asked';
  import { clock } from '$lib/browser/clock.svelte';
  import { lookAgain } from '$lib/browser/look-again';
  import type { DayCopy } from '$lib/workbench/copies';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import FilePick from '../kit/FilePick.svelte';
  import Sheet from '../station/Sheet.svelte';
  import { Restoring } from './restoring.svelte';

  type Props = {
    /** None where the database is on a server of its own. */
    copies: { list: DayCopy[]; folder: string; problem: string | null } | null;
    format: Format;
  };
  let { copies, format }: Props = $props();

  /** So many are shown at first. */
  const SHOWN = 5;
  let all = $state(false);
  let making = $state(false);
  let problem = $state<string>();
  const wrong = $derived(problem ?? copies?.problem);
  const shown = $derived(copies?.list.slice(0, all ? undefined : SHOWN) ?? []);
  const restoring = new Restoring();
  const words = t.profile.restore;

  /** The archive that is being made, by which it is asked how far it is. */
  let watch = $state(ulid());
  let saved = $state<number>();
  let stopAsking = () => {};
  onDestroy(() => stopAsking());
  function saves() {
    stopAsking();
    stopAsking = askHowFar(
      watch,
      (share) => (saved = share),
      () => {
        saved = undefined;
        watch = ulid();
      }
    );
  }

  async function make() {
    making = true;
    problem = undefined;
    const answer = await fetch('/api/v1/copies', { method: 'POST' }).catch(() => undefined);
    if (!answer) problem = t.outbox.unreachable;
    else if (!answer.ok) problem = ((await answer.json()) as { message: string }).message;
    await lookAgain().catch(() => {});
    making = false;
  }
</script>

<section class="mt-7 max-w-reading" aria-labelledby="copies">
  <h2 id="copies">{t.profile.copies.title}</h2>
  {#if copies}
    <p class="faded">{t.profile.copies.lead}</p>
    {#if wrong}<p class="wrong" role="alert">{t.profile.copies.failed(wrong)}</p>{/if}
    {#if copies.list.length === 0}
      <p>{t.profile.copies.none}</p>
    {:else}
      <ul class="plain-list my-3">
        {#each shown as copy (copy.name)}
          {@const when = `${format.day(copy.at)}, ${format.time(copy.at)}`}
          <li class="flex flex-wrap items-center gap-x-5 py-1 border-b border-hair">
            <b>{when}</b>
            <span class="grow"
              >{t.profile.copies.holds(copy.tests, copy.samples, (copy.bytes / 1e6).toFixed(1))}</span
            >
            <button
              type="button"
              class="link min-h-touch"
              aria-label={words.toCopyOf(when)}
              disabled={restoring.under !== undefined}
              onclick={() => restoring.takeUpCopy(copy.name, words.copyOf(when))}>{words.toCopy}</button
            >
          </li>
        {/each}
      </ul>
      {#if copies.list.length > SHOWN && !all}
        <button type="button" class="link" onclick={() => (all = true)}
          >{words.earlier(copies.list.length - SHOWN)}</button
        >
      {/if}
    {/if}
  {/if}
  <p class="row-of-actions mt-3">
    {#if copies}
      <button type="button" class="btn btn-secondary" disabled={making} onclick={make}
        >{t.profile.copies.now}</button
      >
    {/if}
    <a class="btn btn-secondary" href="/api/v1/archive.zip?watch={watch}" download onclick={saves}
      >{words.save}</a
    >
    <FilePick
      label={words.pick}
      accept=".zip,application/zip"
      disabled={restoring.under !== undefined}
      onpick={([file]) => restoring.takeUpArchive(file)}
    />
  </p>
  <p class="faded small mt-3">{words.hint}</p>
  {#if saved !== undefined}<p class="mt-3" role="status">{words.saving(Math.round(saved * 100))}</p>{/if}
  {#if restoring.under}
    <p class="mt-3" role="status">
      {restoring.under}{restoring.share > 0 ? ` ${Math.round(restoring.share * 100)} %` : ''}
    </p>
  {/if}
  {#if restoring.done}<p class="mt-3" role="status">{restoring.done}</p>{/if}
  {#if restoring.problem}<p class="wrong mt-3" role="alert">{restoring.problem}</p>{/if}
</section>

<Sheet
  bind:open={() => restoring.up !== undefined, (open) => !open && restoring.drop()}
  title={words.title}
  lead={restoring.up && words.lead(restoring.up)}
>
  {#if restoring.up?.found.madeAt}
    <p class="mt-3">{words.madeAt(format.when(Date.parse(restoring.up.found.madeAt), clock.now))}</p>
  {/if}
  <p class="mt-3">{copies ? words.copyFirst : words.noCopyFirst}</p>
  {#snippet actions()}
    <button type="button" class="btn btn-primary" onclick={() => restoring.putBack()}>{words.do}</button>
  {/snippet}
</Sheet>
