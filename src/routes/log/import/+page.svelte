<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { clock } from '$lib/browser/clock.svelte';
  import { EYE_SHARE_POINTS } from '$lib/contract/shares';
  import Columns from '$lib/ui/import/Columns.svelte';
  import HowRead from '$lib/ui/import/HowRead.svelte';
  import Problems from '$lib/ui/import/Problems.svelte';
  import TakenIn from '$lib/ui/import/TakenIn.svelte';
  import { TakingIn } from '$lib/ui/import/taking-in.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import FilePick from '$lib/ui/kit/FilePick.svelte';
  import Progress from '$lib/ui/kit/Progress.svelte';
  import { formatFor } from '$lib/words/format';
  import { t } from '$lib/words';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const table = new TakingIn();
  const { look, matching, under, done } = $derived(table);

  onMount(() => {
    // One that was begun in another window, or before a reload, goes on.
    const begun = data.imports.find((one) => one.finishedAt === null);
    if (begun) void table.follow(begun);
  });
</script>

<p class="mt-6"><BackLink href="/log" label={t.log.back} /></p>
<h1>{t.taking.title}</h1>

{#if under}
  <div class="mt-5 max-w-reading">
    <Progress
      share={under.rows > 0 ? under.done / under.rows : 0}
      label={t.taking.under(under.done, under.rows, under.name)}
      stopLabel={t.taking.stop}
      onstop={() => table.stop()}
    />
    <p class="faded mt-3">{t.taking.underHint}</p>
  </div>
{:else if done}
  <p class="mt-4 text-lg" role="status"><b>{t.taking.in(done.done, done.name)}</b></p>
  <p class="row-of-actions mt-4">
    <a class="btn btn-primary" href="/log?table={done.id}">{t.taking.see}</a>
    <button type="button" class="btn btn-secondary" onclick={() => (table.done = undefined)}
      >{t.taking.another}</button
    >
  </p>
{:else if !table.file}
  <p class="max-w-reading">{t.taking.lead}</p>
  <p class="row-of-actions mt-4">
    <FilePick
      label={t.taking.pick}
      accept=".csv,.tsv,.txt,.json,text/csv,text/plain,application/json"
      onpick={([file]) => table.pick(file)}
    />
    <a class="link" href="/try/earlier-jars.csv" download>{t.taking.example}</a>
  </p>
{:else}
  <div class="flex flex-wrap items-baseline gap-x-6 gap-y-2 mt-3">
    <b>{table.file.name}</b>
    {#if look}<span>{t.taking.found(look.good, look.bad)}</span>{/if}
    {#if table.looking}<span class="faded" aria-live="polite">{t.taking.looking}</span>{/if}
    <button type="button" class="link" onclick={() => table.drop()}>{t.taking.otherFile}</button>
  </div>
  {#if look && matching}
    {#if look.encoding === 'Windows-1252'}<p class="mt-2">{t.taking.oldLetters}</p>{/if}
    {#if look.already}
      <p class="wrong mt-2" role="alert">
        {t.taking.already(look.already.name, format.when(look.already.startedAt, clock.now))}
      </p>
    {/if}
    <div class="mt-4">
      <HowRead
        {matching}
        unsure={look.unsure}
        top={look.top}
        onchange={(fields) => table.change(fields)}
        onhead={(row) => table.headIn(row)}
      />
    </div>
    <div class="mt-5"><Columns {look} {matching} onmatch={(i, field) => table.match(i, field)} /></div>
    {#each look.unknownAreas as [name, n] (name)}<p class="mt-2">{t.taking.unknownArea(name, n)}</p>{/each}
    {#each look.unknownMethods as [name, n] (name)}
      <p class="mt-2">{t.taking.unknownMethod(name, n)}</p>
    {/each}
    {#if look.good > 0}
      <p class="mt-4 max-w-reading">
        {t.taking.becomes(look.shares, look.heights, { points: EYE_SHARE_POINTS, estimated: look.estimated })}
      </p>
      <p class="mt-4">
        <button
          type="button"
          class="btn btn-primary"
          disabled={table.looking}
          onclick={() => void table.take()}>{t.taking.take(look.good, look.bad)}</button
        >
      </p>
    {/if}
    {#if look.leftOut.length > 0}
      <p class="mt-4" data-testid="left-out">
        {t.taking.summaries(look.leftOut.map(({ no, what }) => `${no} (${what})`).join(', '))}
      </p>
    {/if}
    {#if look.bad > 0}<div class="mt-6"><Problems {look} /></div>{/if}
  {/if}
{/if}
{#if table.stopped}<p class="mt-4" role="status">{t.taking.stopped(table.stopped)}</p>{/if}
{#if table.problem}<p class="wrong mt-4" role="alert">{table.problem}</p>{/if}
{#if data.imports.some((one) => one.finishedAt !== null)}
  <TakenIn imports={data.imports.filter((one) => one.finishedAt !== null)} now={clock.now} {format} />
{/if}
