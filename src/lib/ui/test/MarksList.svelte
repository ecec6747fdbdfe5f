<!-- @component Tape on the glass of one run: each mark with its true time, what lateness does to its cut, and its height. -->
<script lang="ts">
  import { cutDiameter, formatDuration, formatTapeTime, outcomeOf, requireInside } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { MarkRecord, RunRecord } from '$lib/contract/records/run';
  import { keptLength, readLength } from '../fields/read';
  import type { Format } from '$lib/words/format';
  import { judgedMarks } from '$lib/workbench/marks';
  import { cutOfMark } from '$lib/workbench/jars';
  import { cutText } from '$lib/words/steps';
  import { problemText, record } from '$lib/browser/actions';
  import { sayProblem } from '$lib/browser/toasts';
  import { t } from '$lib/words';

  type Props = { jar: JarRecord; run: RunRecord; format: Format; editable: boolean };
  let { jar, run, format, editable }: Props = $props();

  let texts = $state<Record<string, string>>({});
  let errors = $state<Record<string, string>>({});
  let correcting = $state<string | undefined>();

  const rows = $derived(judgedMarks(jar, run));

  async function keep(mark: MarkRecord) {
    const text = (texts[mark.id] ?? '').trim();
    delete errors[mark.id];
    const read = readLength(text, format.profile.length);
    if (read.error !== undefined) {
      errors[mark.id] = read.error;
      return;
    }
    if (outcomeOf(() => requireInside('height', read.value, jar.vessel)).problem) {
      errors[mark.id] = t.jar.overRim(format.length(jar.vessel.innerHeightMm));
      return;
    }
    try {
      const payload = { testId: jar.id, markId: mark.id, height: { mm: read.value, text } };
      if (await record('mark.height', payload, t.done['mark.height'](jar.code))) delete texts[mark.id];
    } catch (problem) {
      sayProblem(problemText(problem));
    }
  }
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
              void keep(mark);
            }}
          >
            <input
              class="input w-[6rem]"
              aria-label={t.jar.heightOf(t.layer[mark.layer], jar.code)}
              placeholder={format.profile.length}
              bind:value={texts[mark.id]}
              aria-invalid={errors[mark.id] ? 'true' : undefined}
            />
            <button class="btn btn-secondary">{t.jar.heightSave}</button>
          </form>
        {:else if mark.heightMm !== null}
          <span class="flex items-baseline gap-4 font-[650] max-sm:col-span-full max-sm:justify-end">
            {format.length(mark.heightMm, 1)}
            {#if editable}
              <button
                type="button"
                class="link small"
                onclick={() => {
                  texts[mark.id] = keptLength(
                    { mm: mark.heightMm!, text: mark.heightText ?? '' },
                    format.profile.length
                  );
                  void record(
                    'mark.height',
                    { testId: jar.id, markId: mark.id, height: null },
                    t.done['mark.height'](jar.code)
                  );
                }}
              >
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
        {#if errors[mark.id]}<p class="wrong small col-span-full text-right" role="alert">
            {errors[mark.id]}
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
