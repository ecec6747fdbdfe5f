<!-- @component A number as the answer to a task: read as it is typed, refused in words. -->
<script lang="ts">
  import { t } from '$lib/words';
  import TextField from '../../fields/TextField.svelte';

  type Props = {
    label: string;
    hint?: string;
    answered: boolean;
    /** Reads the text; throws with what is wrong, or answers what is no number. */
    read: (text: string) => number;
    ongive: (value: number | undefined) => void;
  };
  let { label, hint, answered, read, ongive }: Props = $props();
  let text = $state('');
  let error = $state<string>();
  function typed() {
    error = undefined;
    try {
      const value = text.trim() === '' ? NaN : read(text);
      ongive(Number.isFinite(value) ? value : undefined);
    } catch {
      ongive(undefined);
    }
  }
  function left() {
    if (text.trim() === '') return;
    try {
      error = Number.isFinite(read(text)) ? undefined : t.drills.fields.notRead;
    } catch (problem) {
      error = problem instanceof Error ? problem.message : t.drills.fields.notRead;
    }
  }
</script>

<div class="w-[14rem]">
  <TextField
    {label}
    {hint}
    {error}
    bind:value={text}
    inputmode="text"
    maxlength={20}
    disabled={answered}
    oninput={typed}
    onblur={left}
    class="text-xl"
  />
</div>
