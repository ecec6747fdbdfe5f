<script lang="ts">
  import { page } from '$app/state';
  import TrialForm from '$lib/ui/trial/TrialForm.svelte';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
</script>

<div class="pt-5">
  <h1 class="text-3xl">{t.trial.newTitle}</h1>
  <p class="mt-2 mb-4 max-w-reading">{t.trial.lead} {t.trial.next}</p>
  {#if data.samples.length > 0}
    <TrialForm samples={data.samples} asked={data.asked} figures={data.usual} {format} />
  {:else}
    <p class="text-lg">{t.trial.noSample}</p>
    <p class="mt-4"><a class="btn btn-primary" href="/plan">{t.stations.plan}</a></p>
  {/if}
  <p class="caution small mt-6">{t.trial.caution}</p>
</div>
