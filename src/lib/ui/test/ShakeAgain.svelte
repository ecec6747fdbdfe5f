<!-- @component Ending a run: what happened, and that the run stays in the record. -->
<script lang="ts">
  import { END_REASONS, type EndReason } from '$lib/contract/records/run';
  import type { JarRecord } from '$lib/contract/records/jar';
  import { shakeAgain } from '$lib/browser/actions';
  import Sheet from '../station/Sheet.svelte';
  import { t } from '$lib/words';

  type Props = { jar: JarRecord; open: boolean; ondone: () => void };
  let { jar, open = $bindable(), ondone }: Props = $props();
  let reason = $state<EndReason>('knocked');

  async function end() {
    open = false;
    if (await shakeAgain(jar, reason)) ondone();
  }
</script>

<Sheet bind:open title={t.jar.shakeAgainTitle(jar.code)} lead={t.jar.shakeAgainLead}>
  <fieldset>
    <legend class="font-[650] pt-0 pb-2 px-0">{t.jar.shakeAgainWhy}</legend>
    {#each END_REASONS as value (value)}
      <label class="flex gap-3 items-center min-h-touch cursor-pointer"
        ><input class="radio" type="radio" name="reason" {value} bind:group={reason} />
        {t.endReason[value]}</label
      >
    {/each}
  </fieldset>
  {#snippet actions()}<button type="button" class="btn btn-primary" onclick={end}>{t.jar.shakeAgainDo}</button
    >{/snippet}
</Sheet>
