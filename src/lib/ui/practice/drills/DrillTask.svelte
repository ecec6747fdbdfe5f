<!-- @component A task of a drill: what is asked, what is answered, and when it was checked its score, the slip and the working of the right answer. -->
<script lang="ts">
  import {
    gradeOf,
    nearestRow,
    scoreTask,
    textureSystems,
    type Given,
    type Score,
    type Task
  } from '$lib/core';
  import { t } from '$lib/words';
  import BaseDrill from './BaseDrill.svelte';
  import BorderlineDrill from './BorderlineDrill.svelte';
  import InchesDrill from './InchesDrill.svelte';
  import LinesDrill from './LinesDrill.svelte';
  import OrderDrill from './OrderDrill.svelte';
  import PickDrill from './PickDrill.svelte';
  import PictureDrill from './PictureDrill.svelte';
  import TotalDrill from './TotalDrill.svelte';
  import WhenDrill from './WhenDrill.svelte';

  type Props = {
    task: Task;
    /** Told once, when it is checked. */
    onanswer: (given: Given, score: Score) => void;
  };
  let { task, onanswer }: Props = $props();
  const w = t.drills;
  let given = $state.raw<Given>();
  let score = $state.raw<Score>();
  let unanswered = $state(false);
  const answered = $derived(score !== undefined);

  function check() {
    unanswered = given === undefined;
    if (given === undefined || score) return;
    score = scoreTask(task, given);
    onanswer(given, score);
  }
  function give(next: Given | undefined, atOnce = false) {
    given = next;
    if (next) unanswered = false;
    if (atOnce) check();
  }
  const nameOf = (id: string) => textureSystems.usda.classes.find((c) => c.id === id)?.name ?? id;
  const ask = $derived((w.ask[task.key] as (task: Task) => string)(task));
  const working = $derived.by((): string[] => {
    if (task.key === 'when') return w.work.when(task, nearestRow(task));
    if (task.key === 'borderline') return w.work.borderline(task, nameOf);
    return (w.work[task.key] as (task: Task) => string[])(task);
  });
  const cameTo = $derived(
    score
      ? `· ${w.points(score.points)}${score.points < 100 ? `, ${w.off[score.off.unit](score.off.by)}` : ''}`
      : ''
  );
  const verdict = $derived(score ? w.grades[gradeOf(score.points)] : '');
</script>

<form
  class="grid grid-cols-1 gap-5"
  onsubmit={(e) => {
    e.preventDefault();
    check();
  }}
>
  {#if task.key !== 'decision' && task.key !== 'trouble'}
    <p class="text-xl font-head leading-[1.35] max-w-reading">{ask}</p>
  {:else}
    <p class="faded">{ask}</p>
  {/if}
  <div>
    {#if task.key === 'order'}<OrderDrill {task} {answered} ongive={give} />
    {:else if task.key === 'when'}<WhenDrill {task} {answered} ongive={give} />
    {:else if task.key === 'base'}<BaseDrill {task} {answered} ongive={give} />
    {:else if task.key === 'inches'}<InchesDrill {task} {answered} ongive={give} />
    {:else if task.key === 'total'}<TotalDrill {task} {answered} ongive={give} />
    {:else if task.key === 'lines'}<LinesDrill {task} {answered} ongive={give} />
    {:else if task.key === 'picture'}<PictureDrill {task} {answered} ongive={give} />
    {:else if task.key === 'borderline'}<BorderlineDrill {task} {answered} ongive={give} />
    {:else}<PickDrill {task} {answered} ongive={give} />{/if}
  </div>
  {#if !answered && task.key !== 'when'}
    <div class="grid gap-2 justify-items-start">
      {#if unanswered}<p class="wrong" role="alert">{w.fields.answerFirst}</p>{/if}
      <button class="btn btn-primary">{w.check}</button>
    </div>
  {/if}
  <div role="status">
    {#if score}
      <p class="text-2xl font-head font-[660] leading-[1.2]">
        {verdict}
        <span class="text-lg font-normal">{cameTo}</span>
      </p>
      {#if score.slip}<p class="mt-2 max-w-reading">{w.slips[score.slip]}</p>{/if}
      <h3 class="mt-4 text-base font-semibold">{w.working}</h3>
      {#each working as line (line)}<p class="max-w-reading tabular-nums">{line}</p>{/each}
    {/if}
  </div>
</form>
