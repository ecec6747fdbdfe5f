<!-- @component Tape on the glass of one run: each mark with its true time, what lateness does to its cut, and its height. -->
<script lang="ts">
  import { cutDiameter, formatDuration, formatTapeTime } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { RunRecord } from '$lib/contract/records/run';
  import type { Format } from '$lib/words/format';
  import { judgedMarks } from '$lib/workbench/marks';
  import { cutOfMark } from '$lib/workbench/jars';
  import { cutText } from '$lib/words/steps';
  import { t } from '$lib/words';
  import { MarkHeights } from './mark-heights.svelte';

  type Props = { jar: JarRecord; run: RunRecord; format: Format; editable: boolean };
  let { jar, run, format, editable }: Props = $props();

  const heights = new MarkHeights(() => ({ jar, format }));
  let correcting = $state<string | undefined>();

  const rows = $derived(judgedMarks(jar, run));

  const cut = (seconds: number) =>
    cutText(
      seconds > 1 ? cutOfMark(jar, seconds) : cutDiameter({ timeS: 1, fallMm: jar.waterMm, tempC: jar.tempC })
    );
</script>

{#if rows.length === 0}
  <p class="faded">{t.jar.noMarks}</p>
{:else}
  <ul class="plain-list">
    {#each rows as { mark, timeS, plan, timing, replaced } (mark.id)}
      <li class:old={replaced}>
        <span class="tape">{formatTapeTime(timeS)}</span>
        <span class="what flex flex-wrap gap-y-0 gap-x-4 leading-[1.3]">
          <strong>{t.Layer[mark.layer]}</strong>
          {#if plan && timing}
            <span class={timing.kind === 'on-time' ? 'faded' : 'wrong'}>
              {timing.kind === 'on-time'
                ? t.jar.onTime
                : t.jar[timing.kind](formatDuration(Math.abs(timing.offS)))}
            </span>
            <span class={timing.far ? 'wrong' : 'faded'}>
              {timing.kind === 'on-time'
                ? t.jar.cutsNow(cut(timeS))
                : timing.far && mark.layer !== 'clay'
                  ? t.jar.isOfSize(cut(timeS), t.layer[mark.layer])
                  : t.jar.cutsInstead(cut(timeS), cut(plan.atS))}
            </span>
          {/if}
          {#if mark.pending}<span class="faded">{t.jar.pending}</span>{/if}
          {#if replaced}<span class="faded">{t.jar.replaced}</span>{/if}
        </span>
        {#if editable && mark.heightMm === null}
          <form
            class="flex gap-3 max-sm:col-span-full max-sm:justify-end"
            onsubmit={(e) => {
              e.preventDefault();
              void heights.keep(mark);
            }}
          >
            <input
              class="input w-[6rem]"
              aria-label={t.jar.heightOf(t.layer[mark.layer], jar.code)}
              placeholder={format.profile.length}
              bind:value={heights.texts[mark.id]}
              aria-invalid={heights.errors[mark.id] ? 'true' : undefined}
            />
            <button class="btn btn-secondary">{t.jar.heightSave}</button>
          </form>
        {:else if mark.heightMm !== null}
          <span class="flex items-baseline gap-4 font-[650] max-sm:col-span-full max-sm:justify-end">
            {format.length(mark.heightMm, 1)}
            {#if editable}
              <button type="button" class="link small" onclick={() => heights.reopen(mark)}>
                {t.jar.height}…
              </button>
            {/if}
          </span>
        {/if}
        {#if editable}
          <button
            type="button"
            class="link small min-h-touch"
            aria-label={t.correct.open(t.layer[mark.layer], formatTapeTime(timeS))}
            onclick={() => (correcting = mark.id)}>{t.correct.short}</button
          >
        {/if}
        {#if heights.errors[mark.id]}<p class="wrong small col-span-full text-right" role="alert">
            {heights.errors[mark.id]}
          </p>{/if}
      </li>
    {/each}
  </ul>
{/if}
{#if editable}
  {#if correcting}
    {#await import('./CorrectMark.svelte') then { default: CorrectMark }}
      <CorrectMark
        {jar}
        {run}
        mark={run.marks.find((m) => m.id === correcting)}
        onclose={() => (correcting = undefined)}
      />
    {/await}
  {/if}
{/if}

<style>
  li {
    display: grid;
    grid-template-columns: auto 1fr auto auto;
    gap: var(--spacing-1) var(--spacing-5);
    align-items: center;
    padding: var(--spacing-3) 0;
    border-bottom: var(--line) solid var(--hair);
  }
  .tape {
    min-width: 4.4rem;
    text-align: center;
    padding: var(--spacing-1) var(--spacing-4) var(--spacing-1) var(--spacing-3);
    background: var(--tape);
    color: var(--tape-ink);
    font-weight: 680;
    clip-path: polygon(0 0, 100% 0, calc(100% - 5px) 25%, 100% 50%, calc(100% - 5px) 75%, 100% 100%, 0 100%);
  }
  .old .tape,
  .old .what {
    opacity: 0.75;
    text-decoration: line-through;
  }
  @media (max-width: 640px) {
    li {
      grid-template-columns: auto 1fr;
    }
  }
</style>
