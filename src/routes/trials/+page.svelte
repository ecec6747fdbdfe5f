<script lang="ts">
  import { page } from '$app/state';
  import { clock } from '$lib/browser/clock.svelte';
  import SideBySide from '$lib/ui/trial/SideBySide.svelte';
  import TrialTasks from '$lib/ui/trial/TrialTasks.svelte';
  import { viewTrial } from '$lib/workbench/trials';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';
  import { mixLine, trialVerdict } from '$lib/words/trial';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const views = $derived(data.all.map((one) => viewTrial(one, data.usual, clock.now)));
  const blocks = $derived(views.filter((v) => v.trial.kind === 'block'));
  const others = $derived(views.filter((v) => v.trial.kind !== 'block'));
</script>

<div class="pt-5 grid gap-6">
  <div>
    <h1 class="text-3xl">{t.trial.beside}</h1>
    <p class="faded mt-1">{t.trial.besideLead}</p>
  </div>
  {#each data.odd as row (row.name)}<p class="wrong" role="alert">
      {t.bench.unreadable(row.name, row.why)}
    </p>{/each}
  <SideBySide views={blocks} />
  {#if others.length > 0}
    <ul class="plain-list">
      {#each others as { trial, tells } (trial.id)}
        <li class="py-1">
          <a class="link font-bold" href="/trials/{trial.id}">{trial.code}</a>
          {t.trial.kinds[trial.kind].many}, {trial.sampleName}, {mixLine(trial)}: {trialVerdict(
            tells,
            data.usual,
            format
          ) ?? t.trial.none}
        </li>
      {/each}
    </ul>
  {/if}
  <TrialTasks {views} now={clock.now} {format} />
  <p class="row-of-actions no-print">
    <a class="btn btn-secondary" href="/trials/new">{t.trial.newTitle}</a>
    <a class="link" href="/api/v1/trials?format=csv" download>CSV</a>
    <a class="link" href="/api/v1/reminders.ics" download>{t.seasons.remind}</a>
  </p>
  <p class="caution small">{t.trial.caution}</p>
</div>
