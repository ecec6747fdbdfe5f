<!-- @component Who is in a lesson and where each is: a column a task, marked with a press, the points together. -->
<script lang="ts">
  import { gradeOf, measuredOf, pointsTogether, type SheetTask } from '$lib/core';
  import { pointsOf, type LessonDetail } from '$lib/contract/records/lesson';
  import { t } from '$lib/words';
  import CheckedSums from './CheckedSums.svelte';
  import MarkField from './MarkField.svelte';
  import { scoreWords, taskName } from './sheet-words';

  type Learner = LessonDetail['learners'][number];
  type Props = {
    tasks: readonly SheetTask[];
    learners: readonly Learner[];
    onmark: (answerId: string, points: number | null) => void;
    onchange: (learnerId: string, what: 'give-back' | 'free' | 'remove') => void;
  };
  let { tasks, learners, onmark, onchange }: Props = $props();
  const w = t.lessons;
  let open = $state<string>();
  const answerTo = (learner: Learner, no: number) => learner.answers.find((one) => one.no === no);
  const whole = (learner: Learner) => Math.round(pointsTogether(learner.answers.map(pointsOf), tasks.length));
  function where(learner: Learner): string {
    if (learner.handedInAt !== null) return w.handedIn;
    const next = tasks.find((task) => !answerTo(learner, task.no));
    return `${w.done(learner.answers.length, tasks.length)}${next ? `, ${w.at(next.no)}` : ''}`;
  }
  const kind = (points: number | null) => (points === null ? 'open' : gradeOf(points));
</script>

<div class="relative overflow-x-auto">
  <table class="plain">
    <thead>
      <tr>
        <th scope="col">{w.learner}</th>
        <th scope="col">{w.group}</th>
        <th scope="col">{w.where}</th>
        {#each tasks as task (task.no)}
          <th scope="col" class="num" title={taskName(task)}
            ><span class="sr-only">{taskName(task)} </span>{task.no}</th
          >
        {/each}
        <th scope="col" class="num">{w.points}</th>
      </tr>
    </thead>
    <tbody>
      {#each learners as learner (learner.id)}
        <tr>
          <th scope="row">
            <button
              type="button"
              class="link ink font-semibold"
              aria-expanded={open === learner.id}
              aria-label={w.look(learner.name)}
              onclick={() => (open = open === learner.id ? undefined : learner.id)}>{learner.name}</button
            >
          </th>
          <td>{learner.groupName}</td>
          <td>{where(learner)}</td>
          {#each tasks as task (task.no)}
            {@const answer = answerTo(learner, task.no)}
            {@const points = answer ? pointsOf(answer) : undefined}
            <td class="num {points === undefined ? '' : kind(points)}">
              {#if points === undefined}<span class="faded">–</span>{:else}{points ?? '?'}{/if}
            </td>
          {/each}
          <td class="num font-bold">{whole(learner)}</td>
        </tr>
        {#if open === learner.id}
          <tr>
            <td colspan={tasks.length + 4}>
              <div class="grid gap-4 py-2">
                {#each tasks as task (task.no)}
                  {@const answer = answerTo(learner, task.no)}
                  {#if answer}
                    <div class="grid grid-cols-[minmax(0,1fr)_auto] gap-x-6 gap-y-1 items-start max-w-wide">
                      <div>
                        <b>{w.tasksHead(task.no, taskName(task))}</b>
                        {#if answer.given.kind === 'calculation' && task.kind === 'calculation'}
                          <CheckedSums measured={measuredOf(task.task)} text={answer.given.text} />
                        {:else if answer.given.kind === 'test'}
                          <p class="whitespace-pre-line">{answer.given.text}</p>
                        {:else if answer.given.kind === 'jar'}
                          <p class="tabular-nums">
                            {answer.given.tops.sandMm} · {answer.given.tops.siltMm} · {answer.given.tops
                              .clayMm} mm{answer.score ? `: ${scoreWords(answer.score)}` : ''}
                          </p>
                        {:else if answer.score}
                          <p>{scoreWords(answer.score)}</p>
                        {/if}
                      </div>
                      <div class="flex gap-2 items-center">
                        {#each [0, 50, 100] as points (points)}
                          <button
                            type="button"
                            class="press"
                            class:on={answer.mark === points}
                            aria-pressed={answer.mark === points}
                            aria-label={w.markAs(points, learner.name, task.no)}
                            onclick={() => onmark(answer.id, points)}>{points}</button
                          >
                        {/each}
                        <MarkField
                          label={w.markOwn(learner.name, task.no)}
                          mark={answer.mark}
                          onmark={(points) => onmark(answer.id, points)}
                        />
                        {#if answer.mark !== null && answer.score}
                          <button type="button" class="link small" onclick={() => onmark(answer.id, null)}
                            >{w.unmark}</button
                          >
                        {:else if answer.mark === null && !answer.score}
                          <span class="faded small">{w.unmarked}</span>
                        {/if}
                      </div>
                    </div>
                  {/if}
                {/each}
                <div class="row-of-actions">
                  {#if learner.handedInAt !== null}
                    <button
                      type="button"
                      class="btn btn-secondary"
                      onclick={() => onchange(learner.id, 'give-back')}>{w.giveBack}</button
                    >
                  {/if}
                  {#if learner.onDevice}
                    <button
                      type="button"
                      class="btn btn-secondary"
                      onclick={() => onchange(learner.id, 'free')}>{w.free}</button
                    >
                  {/if}
                  <button
                    type="button"
                    class="btn btn-secondary"
                    onclick={() => onchange(learner.id, 'remove')}>{w.takeOut}</button
                  >
                </div>
              </div>
            </td>
          </tr>
        {/if}
      {/each}
    </tbody>
  </table>
</div>

<style>
  .open {
    color: var(--pen);
    font-weight: 700;
  }
  .missed {
    color: var(--alarm);
    font-weight: 700;
  }
  .nearly {
    font-weight: 600;
  }
  .press {
    min-width: 44px;
    min-height: 40px;
    border-bottom: var(--line-strong) solid var(--rule);
    cursor: pointer;
    font-variant-numeric: tabular-nums;
  }
  .press.on {
    border-bottom-color: var(--ink);
    background: var(--sheet);
    font-weight: 700;
  }
</style>
