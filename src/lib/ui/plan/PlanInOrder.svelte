<!-- @component What a timetable asks of the hands, one line a task, in the order of the clock. -->
<script lang="ts">
  import { formatDuration, type Timetable } from '$lib/core';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import DataTable from '../kit/DataTable.svelte';

  type Props = {
    tasks: Timetable['tasks'];
    /** Codes of the jars, by their ids. */
    codes: Map<string, string>;
    format: Format;
    now: number;
  };
  let { tasks, codes, format, now }: Props = $props();

  /** How long a task takes, and until when it may be done. */
  function howLong(task: {
    startAt: number;
    endAt: number;
    windowFromAt: number;
    windowToAt: number;
  }): string {
    const long = formatDuration((task.endAt - task.startAt) / 1000);
    if (task.windowToAt <= task.windowFromAt) return long;
    return `${long}, ${t.timetable.until(format.when(task.windowToAt, now))}`;
  }
</script>

<h2>{t.timetable.inOrder}</h2>
<DataTable
  rows={tasks}
  key={(task) => task.jobId + task.kind + (task.layer ?? '') + task.askedAt}
  columns={[
    {
      id: 'when',
      class: 'whitespace-nowrap',
      strong: true,
      text: (task) => format.when(task.startAt, now)
    },
    { id: 'jar', strong: true, text: (task) => codes.get(task.jobId) ?? '' },
    { id: 'task', text: (task) => t.timetable.task(task.kind, task.layer && t.layer[task.layer]) },
    { id: 'long', class: 'faded', text: howLong }
  ]}
/>
