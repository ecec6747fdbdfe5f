<!-- @component A labelled line to type in, with its hint and its error; what else an input takes is handed on. -->
<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';
  import Field from './Field.svelte';

  type Props = Omit<HTMLInputAttributes, 'class'> & {
    label: string;
    hint?: string;
    error?: string;
    value: string;
    /** Classes of the line itself, as how wide it is. */
    class?: string;
  };
  let { label, hint, error, value = $bindable(), class: classes = '', ...rest }: Props = $props();
</script>

<Field {label} {hint} {error}>
  {#snippet children(entry)}
    <input {...entry} autocomplete="off" {...rest} class="input {classes}" bind:value />
  {/snippet}
</Field>
