<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { offerUndo, problemText } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { send } from '$lib/browser/outbox.svelte';
  import { sayProblem } from '$lib/browser/toasts';
  import FolderForm from '$lib/ui/act/FolderForm.svelte';
  import FolderSoilReport from '$lib/ui/act/FolderSoilReport.svelte';
  import Fold from '$lib/ui/kit/Fold.svelte';
  import { judgeFolderSoil } from '$lib/workbench/folder';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';

  let { data } = $props();
  let changing = $state(false);
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const { folder } = $derived(data);
  const judged = $derived(
    data.soils.map((soil) => ({
      soil,
      judged: judgeFolderSoil(soil, { techniques: data.techniques, figures: data.usual, now: clock.now })
    }))
  );

  async function remove() {
    try {
      const sent = await send('folder.remove', { folderId: folder.id });
      offerUndo(sent, t.folder.removed(folder.name));
      await goto('/act/folders');
    } catch (problem) {
      sayProblem(problemText(problem));
    }
  }
</script>

<div class="pt-5 print:pt-0 grid gap-6 print:gap-3">
  <div>
    <h1 class="text-3xl print:text-2xl">{folder.name}</h1>
    <p class="mt-1">
      {[
        folder.sender && t.folder.from(folder.sender),
        folder.receivedOn && t.folder.came(format.dayOf(folder.receivedOn)),
        t.folder.count(folder.items.length),
        t.folder.printed(format.day(clock.now))
      ]
        .filter(Boolean)
        .join(' · ')}
    </p>
    {#if folder.note}<p>{folder.note}</p>{/if}
    <p class="row-of-actions no-print mt-3">
      <button type="button" class="btn btn-primary" onclick={() => print()}>{t.folder.print}</button>
      <a class="link" href="/act/folders">{t.folder.title}</a>
      <a class="link" href="/trials">{t.trial.beside}</a>
    </p>
  </div>
  {#if judged.length > 1}
    <ol class="plain-list" aria-label={t.folder.atOnce}>
      {#each judged as { soil, judged: one } (soil.sample.id)}
        <li class="grid grid-cols-[7rem_minmax(0,1fr)] gap-x-5 py-1">
          <a class="link font-bold" href="#soil-{soil.sample.code}">{soil.theirs || soil.sample.code}</a>
          <span>{t.folder.next[one.next]}</span>
        </li>
      {/each}
    </ol>
  {/if}
  {#each judged as one (one.soil.sample.id)}
    <FolderSoilReport {...one} figures={data.usual} {format} />
  {:else}<p class="text-lg">{t.folder.empty}</p>{/each}
  <div class="no-print max-w-[46rem]">
    <Fold label={t.folder.change} bind:open={changing} heading>
      {#if changing}<FolderForm samples={data.samples} {folder} onkept={() => (changing = false)} />{/if}
    </Fold>
    <button type="button" class="btn btn-secondary" onclick={remove}>{t.folder.remove}</button>
  </div>
  <p class="caution small">{t.folder.caution}</p>
</div>
