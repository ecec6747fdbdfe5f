<!-- @component Heights as somebody noted them, with what does not belong among them: one share is to be worked out. -->
<script lang="ts">
  import { readNumber, type Given, type Task } from '$lib/core';
  import { t } from '$lib/words';
  import NotedHeights from './NotedHeights.svelte';
  import NumberAnswer from './NumberAnswer.svelte';

  type Props = {
    task: Task<'total'>;
    answered: boolean;
    ongive: (given: Given<'total'> | undefined) => void;
  };
  let { task, answered, ongive }: Props = $props();
</script>

<div class="flex flex-wrap gap-x-8 gap-y-4 items-end">
  <NotedHeights {task} />
  <NumberAnswer
    label={t.drills.fields.share}
    {answered}
    read={(text) => readNumber(text.replace('%', ''))}
    ongive={(pct) => ongive(pct === undefined ? undefined : { pct })}
  />
</div>
