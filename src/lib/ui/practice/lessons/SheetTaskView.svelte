<!-- @component One task of a sheet: a drill, a calculation, one jar to read, or a real test to run; as answered, it shows what came of it. -->
<script lang="ts">
  import { page } from '$app/state';
  import {
    measuredOf,
    readNumber,
    TOP_LINES,
    type JarTops,
    type SheetGiven,
    type SheetTask
  } from '$lib/core';
  import type { AnswerRecord } from '$lib/contract/records/lesson';
  import { pointsOf } from '$lib/contract/records/lesson';
  import TextField from '$lib/ui/fields/TextField.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import { t } from '$lib/words';
  import DrillTask from '../drills/DrillTask.svelte';
  import NotedHeights from '../drills/NotedHeights.svelte';
  import TakenPicture from '../drills/TakenPicture.svelte';
  import CheckedSums from './CheckedSums.svelte';
  import { scoreWords } from './sheet-words';

  type Props = {
    task: SheetTask;
    answer?: AnswerRecord;
    /** Handed in or closed. */
    shut: boolean;
    /** @returns whether it is kept */
    onkeep: (given: SheetGiven) => Promise<boolean>;
  };
  let { task, answer, shut, onkeep }: Props = $props();
  const w = t.lessons.sheet;
  let again = $state(false);
  /** Answered here and now: what it came to stands beside the task. */
  let fresh = $state(false);
  const kept = $derived(answer !== undefined && !again && !fresh);
  const before = $derived(answer?.given);
  let text = $state('');
  let tops = $state({ sandMm: '', siltMm: '', clayMm: '' });
  let error = $state<string>();
  let wrong = $state<Partial<Record<keyof JarTops, string>>>({});

  function change() {
    if (before && 'text' in before) text = before.text;
    if (before?.kind === 'jar')
      tops = {
        sandMm: String(before.tops.sandMm),
        siltMm: String(before.tops.siltMm),
        clayMm: String(before.tops.clayMm)
      };
    again = true;
  }
  async function keep(given: SheetGiven) {
    if (!(await onkeep(given))) return;
    again = false;
  }
  async function keepText(kind: 'calculation' | 'test') {
    error = text.trim() === '' ? w.write : undefined;
    if (!error) await keep({ kind, text });
  }
  async function keepTops() {
    const mm = { sandMm: 0, siltMm: 0, clayMm: 0 };
    const missing: typeof wrong = {};
    for (const line of TOP_LINES) {
      mm[line] = readNumber(tops[line]);
      if (!Number.isFinite(mm[line])) missing[line] = w.giveNumber;
    }
    wrong = missing;
    if (Object.keys(missing).length === 0) await keep({ kind: 'jar', tops: mm });
  }
  const points = $derived(answer ? pointsOf(answer) : null);
</script>

{#snippet came()}
  <p class="text-xl font-head">
    {points === null ? w.waits : answer?.mark === points ? w.given(points) : w.points(points)}
  </p>
{/snippet}

{#if task.kind === 'drill'}
  {#if kept && answer?.score}
    {@render came()}
    <p class="max-w-reading">{scoreWords(answer.score)}</p>
  {:else}
    <DrillTask
      task={task.task}
      onanswer={(given) => {
        fresh = true;
        void keep({ kind: 'drill', given });
      }}
    />
  {/if}
{:else if task.kind === 'calculation'}
  <div class="flex flex-wrap gap-x-8 gap-y-5 items-start">
    <NotedHeights task={task.task} />
    <div class="grid gap-3 w-[30rem] max-w-full">
      {#if kept && before?.kind === 'calculation'}
        {@render came()}
        <CheckedSums measured={measuredOf(task.task)} text={before.text} />
      {:else}
        <Field label={w.calculation} hint={w.calculationHint} {error}>
          {#snippet children(entry)}
            <textarea {...entry} class="textarea tabular-nums" rows="6" maxlength="2000" bind:value={text}
            ></textarea>
          {/snippet}
        </Field>
        <button
          type="button"
          class="btn btn-primary justify-self-start"
          onclick={() => keepText('calculation')}>{w.checkLines}</button
        >
      {/if}
    </div>
  </div>
{:else if task.kind === 'jar'}
  <p class="text-xl font-head mb-3">{task.code === null ? w.jar : w.jarReal(task.code)}</p>
  <div class="flex flex-wrap gap-x-8 gap-y-5 items-end">
    {#if task.picture}<TakenPicture task={task.picture} />{/if}
    <div class="grid gap-3 w-[14rem]">
      {#if kept && before?.kind === 'jar'}
        {#each TOP_LINES as line (line)}<p class="tabular-nums">{w.tops[line]}: {before.tops[line]}</p>{/each}
        {@render came()}
        {#if answer?.score}<p>{scoreWords(answer.score)}</p>{/if}
      {:else}
        {#each TOP_LINES.toReversed() as line (line)}
          <TextField
            label={w.tops[line]}
            error={wrong[line]}
            bind:value={tops[line]}
            inputmode="decimal"
            maxlength={8}
          />
        {/each}
        <button type="button" class="btn btn-primary justify-self-start" onclick={keepTops}>{w.keep}</button>
      {/if}
    </div>
  </div>
{:else}
  <p class="text-xl font-head mb-3 max-w-reading">{task.what}</p>
  {#if page.data.entered && !shut}<p class="mb-3"><a class="link" href="/set">{w.setJar}</a></p>{/if}
  {#if kept && before?.kind === 'test'}
    <p class="whitespace-pre-line max-w-reading">{before.text}</p>
    {@render came()}
  {:else}
    <div class="grid gap-3 max-w-reading">
      <Field label={w.test} {error}>
        {#snippet children(entry)}
          <textarea {...entry} class="textarea" rows="4" maxlength="1000" bind:value={text}></textarea>
        {/snippet}
      </Field>
      <button type="button" class="btn btn-primary justify-self-start" onclick={() => keepText('test')}
        >{w.keep}</button
      >
    </div>
  {/if}
{/if}
{#if kept && !shut}
  <button type="button" class="link mt-3 block" onclick={change}>{w.again}</button>
{/if}
