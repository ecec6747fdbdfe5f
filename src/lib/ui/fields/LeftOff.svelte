<!-- @component What was entered here before and not kept stands in the form again: when it was left, and how to start afresh. -->
<script lang="ts">
  import { clock } from '$lib/browser/clock.svelte';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';

  type Props = {
    /** When it was left, ms; undefined where nothing was. */
    at: number | undefined;
    format: Format;
    onafresh: () => void;
  };
  let { at, format, onafresh }: Props = $props();
</script>

{#if at !== undefined}
  <p class="small border-l-3 border-pen pl-4 my-3">
    {t.fields.leftOff(format.when(at, clock.now))}
    <button type="button" class="link" onclick={onafresh}>{t.fields.startAfresh}</button>
  </p>
{/if}
