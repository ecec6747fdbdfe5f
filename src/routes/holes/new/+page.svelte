<script lang="ts">
  import { page } from '$app/state';
  import DigHole from '$lib/ui/hole/DigHole.svelte';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
</script>

<div class="pt-5 max-w-[42rem]">
  <h1 class="text-3xl">{t.hole.newTitle}</h1>
  <p class="mt-2 mb-4">{t.hole.lead}</p>
  {#if data.areas.length > 0}
    <DigHole areas={data.areas} asked={data.asked} {format} />
  {:else}
    <p class="text-lg">{t.hole.noArea}</p>
    <p class="mt-4"><a class="btn btn-primary" href="/plan">{t.stations.plan}</a></p>
  {/if}
  <p class="caution small mt-6">{t.hole.caution}</p>
</div>
