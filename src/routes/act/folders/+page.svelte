<script lang="ts">
  import { page } from '$app/state';
  import FolderForm from '$lib/ui/act/FolderForm.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
</script>

<div class="pt-5 grid gap-5 max-w-[46rem]">
  <div>
    <h1 class="text-3xl">{t.folder.title}</h1>
    <p class="mt-2">{t.folder.lead}</p>
  </div>
  {#if data.folders.length > 0}
    <ul class="plain-list">
      {#each data.folders as one (one.id)}
        <li class="border-t border-hair py-3">
          <a class="link font-head text-lg font-bold" href="/act/folders/{one.id}">{one.name}</a>
          <span class="faded block"
            >{[one.sender, one.receivedOn && format.dayOf(one.receivedOn), t.folder.count(one.items.length)]
              .filter(Boolean)
              .join(' · ')}</span
          >
        </li>
      {/each}
    </ul>
  {:else}<p class="text-lg">{t.folder.none}</p>{/if}
  <Fold label={t.folder.newTitle} heading open={data.folders.length === 0}>
    <FolderForm samples={data.samples} />
  </Fold>
</div>
