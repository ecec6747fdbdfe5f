<!-- @component What lies ahead with sets of trial pieces, in order. -->
<script lang="ts">
  import { tasksAhead, type TrialView } from '$lib/workbench/trials';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';

  type Props = { views: readonly TrialView[]; now: number; format: Format };
  let { views, now, format }: Props = $props();
  const ahead = $derived(tasksAhead(views));
</script>

{#if ahead.length > 0}
  <section aria-label={t.trial.ahead}>
    <h2 class="text-lg">{t.trial.ahead}</h2>
    <ol class="plain-list">
      {#each ahead as { trial, task } (trial.id + task.key)}
        <li class="flex flex-wrap gap-x-5 py-1">
          <span
            class="tabular-nums min-w-[10rem]"
            class:font-bold={task.dueAt <= now}
            class:text-pen={task.dueAt <= now}>{format.when(task.dueAt, now)}</span
          >
          <span><a class="link" href="/trials/{trial.id}">{trial.code}</a>: {t.trial.short[task.kind]}</span>
        </li>
      {/each}
    </ol>
  </section>
{/if}
