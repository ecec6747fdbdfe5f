<script lang="ts">
  import { page } from '$app/state';
  import { formatFor } from '$lib/ui/format';
  import LogTable from '$lib/ui/log/LogTable.svelte';
  import { clock } from '$lib/ui/state/clock.svelte';
  import { t } from '$lib/ui/strings';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
</script>

<h1>{data.sample.code} · {data.sample.name}</h1>
<p class="faded">{t.purpose[data.sample.purpose]} · {t.sample.taken(format.day(data.sample.createdAt))}</p>
{#if data.sample.note}<p>{data.sample.note}</p>{/if}
<p class="set"><a class="may" href="/set?sample={data.sample.id}">{t.sample.setJar}</a></p>
<h2>{t.sample.tests}</h2>
{#if data.lines.length > 0}
  <LogTable lines={data.lines} now={clock.now} {format} />
{:else}
  <p class="faded">{t.test.noResult}</p>
{/if}

<style>
  h1 {
    margin: 1.8rem 0 0.2rem;
  }
  .set {
    margin: 0.9rem 0 1.6rem;
  }
</style>
