<script lang="ts">
  import { page } from '$app/state';
  import Rooms from '$lib/ui/practice/Rooms.svelte';
  import { t } from '$lib/words';
</script>

<h1 class="mt-5 mb-1">{t.practice.title}</h1>
<p class="faded max-w-reading mb-6">{t.practice.lead}</p>
<Rooms teaches={page.data.person?.role !== 'reader'} />
<p class="mt-6"><a class="link" href="/lesson">{t.practice.join}</a></p>
