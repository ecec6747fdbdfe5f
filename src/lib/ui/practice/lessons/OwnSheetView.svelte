<!-- @component The sheet as a learner has it: its tasks as boxes to go through, the one in hand below, and handing in at the end. -->
<script lang="ts">
  import { tick, untrack } from 'svelte';
  import { sheetTasks, type SheetGiven } from '$lib/core';
  import type { OwnSheet } from '$lib/contract/records/lesson';
  import { t } from '$lib/words';
  import SheetTaskView from './SheetTaskView.svelte';
  import { taskName } from './sheet-words';

  type Props = {
    own: OwnSheet;
    /** Keeps an answer, or hands the sheet in. Both throw with what stands in the way. */
    onanswer: (no: number, answer: SheetGiven) => Promise<void>;
    onhandin: () => Promise<void>;
  };
  let { own, onanswer, onhandin }: Props = $props();
  const w = t.lessons.sheet;
  const tasks = $derived(sheetTasks(own.lesson.items, own.lesson.seed));
  const answerTo = (no: number) => own.answers.find((one) => one.no === no);
  const open = $derived(tasks.filter((task) => !answerTo(task.no)));
  const shut = $derived(own.learner.handedInAt !== null || own.lesson.closedAt !== null);
  let at = $state(
    untrack(
      () =>
        sheetTasks(own.lesson.items, own.lesson.seed).find(
          (task) => !own.answers.some((a) => a.no === task.no)
        )?.no ?? 1
    )
  );
  const task = $derived(tasks.find((one) => one.no === at) ?? tasks[0]);
  let problem = $state<string>();
  let place = $state<HTMLElement>();

  async function go(no: number) {
    at = no;
    await tick();
    place?.focus();
  }
  /** Keeps an answer. @returns whether it is kept */
  async function keep(no: number, answer: SheetGiven): Promise<boolean> {
    problem = undefined;
    try {
      await onanswer(no, answer);
      return true;
    } catch (failed) {
      problem = (failed as Error).message;
      return false;
    }
  }
  async function handIn() {
    problem = undefined;
    try {
      await onhandin();
    } catch (failed) {
      problem = (failed as Error).message;
    }
  }
</script>

<div class="flex flex-wrap items-baseline justify-between gap-x-8 gap-y-1 mt-5 mb-4">
  <h1>{own.lesson.title}</h1>
  <p class="faded">
    {w.as(own.learner.name, own.learner.groupName)} · {w.of(tasks.length - open.length, tasks.length)}
  </p>
</div>
<nav aria-label={w.tasks}>
  <ol class="plain-list flex flex-wrap gap-2 mb-5">
    {#each tasks as one (one.no)}
      <li>
        <button
          type="button"
          class="box"
          class:done={answerTo(one.no)}
          aria-current={one.no === at ? 'step' : undefined}
          aria-label="{w.task(one.no, taskName(one))}{answerTo(one.no) ? `, ${w.doneMark}` : ''}"
          onclick={() => go(one.no)}>{one.no}</button
        >
      </li>
    {/each}
  </ol>
</nav>
{#if own.learner.handedInAt !== null}<p class="text-xl font-head mb-4" role="status">{w.handedIn}</p>
{:else if own.lesson.closedAt !== null}<p class="text-xl font-head mb-4" role="status">{w.closed}</p>{/if}
{#if task}
  <h2 class="text-base font-normal faded mb-3" tabindex="-1" bind:this={place}>
    {w.task(task.no, taskName(task))}
  </h2>
  {#key task.no}
    <SheetTaskView {task} answer={answerTo(task.no)} {shut} onkeep={(answer) => keep(task.no, answer)} />
  {/key}
{/if}
{#if problem}<p class="wrong mt-4" role="alert">{problem}</p>{/if}
{#if !shut}
  <div class="row-of-actions mt-7">
    {#if open.length > 0 && (open.length > 1 || open[0].no !== at)}
      <button
        type="button"
        class="btn btn-secondary"
        onclick={() =>
          go((open.find((one) => one.no > at) ?? open.find((one) => one.no !== at) ?? open[0]).no)}
        >{t.drills.next}</button
      >
    {/if}
    <button type="button" class={open.length === 0 ? 'btn btn-primary' : 'btn btn-secondary'} onclick={handIn}
      >{open.length === 0 ? w.handIn : w.handInOpen(open.length)}</button
    >
  </div>
{/if}

<style>
  .box {
    width: 46px;
    height: 46px;
    border: var(--line-strong) solid var(--rule);
    font: 650 var(--text-lg) var(--face-head);
    cursor: pointer;
  }
  .box.done {
    background: var(--sheet);
    border-color: var(--ink);
  }
  .box.done::after {
    content: ' ✓';
    color: var(--pen);
  }
  .box[aria-current] {
    border-width: var(--line-heavy);
    border-color: var(--ink);
  }
</style>
