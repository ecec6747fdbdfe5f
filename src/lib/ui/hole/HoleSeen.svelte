<!-- @component What was seen in a hole, in order; a press that waits for its height is measured here. -->
<script lang="ts">
  import { formatDuration } from '$lib/core';
  import type { HoleReadingRecord } from '$lib/contract/records/hole';
  import { problemText, record } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { afterRefillS, type HoleView } from '$lib/workbench/holes';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import { readLength } from '$lib/workbench/entry/figure';

  type Props = { view: HoleView; format: Format; now: number };
  let { view, format, now }: Props = $props();
  const { hole } = $derived(view);
  const open = $derived(hole.finishedAt === null);

  let texts = $state<Record<string, string>>({});
  let errors = $state<Record<string, string>>({});
  const timeOf = (reading: HoleReadingRecord) => formatDuration(afterRefillS(hole, reading.at));

  async function keep(reading: HoleReadingRecord, event: SubmitEvent) {
    event.preventDefault();
    const text = texts[reading.id] ?? '';
    const read = readLength(text, format.profile.length);
    errors[reading.id] = read.error ?? '';
    if (read.value === undefined) return;
    try {
      await send('hole.height', { holeId: hole.id, readingId: reading.id, height: { mm: read.value, text } });
      texts[reading.id] = '';
    } catch (problem) {
      errors[reading.id] = problemText(problem);
    }
  }
</script>

<ol class="plain-list">
  {#if hole.soakedAt !== null}
    <li class="seen">
      <span class="faded">{format.when(hole.soakedAt, now)}</span><span>{t.hole.soakAt}</span>
    </li>
  {/if}
  {#if hole.refilledAt !== null}
    <li class="seen">
      <span class="faded">{format.when(hole.refilledAt, now)}</span>
      <span>{t.hole.refillAt}: {format.length(hole.filled.mm)}</span>
    </li>
  {/if}
  {#each hole.readings as reading, i (reading.id)}
    <li class="seen">
      <strong class="tabular-nums">{timeOf(reading)}</strong>
      {#if reading.seen === 'height' && reading.height === null}
        <form class="flex flex-wrap items-end gap-3" novalidate onsubmit={(e) => keep(reading, e)}>
          <Field label={t.hole.water} error={errors[reading.id]}>
            {#snippet children(entry)}
              <input {...entry} class="input w-[8rem]" autocomplete="off" bind:value={texts[reading.id]} />
            {/snippet}
          </Field>
          <button class="btn btn-primary">{t.hole.keep}</button>
        </form>
      {:else}
        <span>{reading.height ? format.length(reading.height.mm) : t.hole.seen[reading.seen]}</span>
      {/if}
      {#if open}
        <button
          type="button"
          class="link min-h-touch no-print"
          aria-label={t.hole.takeOff(timeOf(reading))}
          onclick={() =>
            record('hole.unread', { holeId: hole.id, readingId: reading.id }, t.hole.done.unread(hole.code))}
          >{t.ground.takeOff}</button
        >
      {/if}
      {#if view.problem?.place === i}<p class="wrong col-span-full" role="alert">
          {view.problem.message}
        </p>{/if}
    </li>
  {/each}
</ol>

<style>
  .seen {
    display: grid;
    grid-template-columns: 7.5rem 1fr auto;
    gap: var(--spacing-1) var(--spacing-4);
    align-items: center;
    min-height: 44px;
    border-bottom: var(--line) solid var(--hair);
  }
</style>
