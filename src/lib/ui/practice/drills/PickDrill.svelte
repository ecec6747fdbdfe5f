<!-- @component One of several in words: which share a decision needs, or which trouble a jar is in. -->
<script lang="ts">
  import type { Given, Task } from '$lib/core';
  import { t } from '$lib/words';

  type Props = {
    task: Task<'decision'> | Task<'trouble'>;
    answered: boolean;
    ongive: (given: Given<'decision'> | Given<'trouble'>) => void;
  };
  let { task, answered, ongive }: Props = $props();
  const w = t.drills;
  const id = $props.id();
  const choices = $derived(
    task.key === 'decision'
      ? task.choices.map((value) => ({ value: value as string, name: w.needs[value] }))
      : task.choices.map((value) => ({ value: value as string, name: w.troubles[value].name }))
  );
  const asked = $derived(task.key === 'decision' ? w.decisions[task.id].ask : w.troubles[task.right].seen);
</script>

<p class="text-xl font-head leading-[1.35] max-w-reading">{asked}</p>
<fieldset class="group mt-3" disabled={answered}>
  <legend class="sr-only">{asked}</legend>
  {#each choices as choice (choice.value)}
    <label class="flex items-center gap-3 min-h-touch cursor-pointer">
      <input
        type="radio"
        class="radio"
        name={id}
        value={choice.value}
        onchange={() => ongive(task.key === 'decision' ? { needs: choice.value } : { trouble: choice.value })}
      />
      {choice.name}
    </label>
  {/each}
</fieldset>
