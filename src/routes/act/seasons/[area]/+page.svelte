<script lang="ts">
  import { page } from '$app/state';
  import { seasonChanges } from '$lib/core';
  import { clock } from '$lib/browser/clock.svelte';
  import AreaBeds from '$lib/ui/ground/AreaBeds.svelte';
  import SeasonLine from '$lib/ui/act/SeasonLine.svelte';
  import TestAgain from '$lib/ui/act/TestAgain.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import { doneBetween } from '$lib/workbench/seasons';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';
  import { chanceText } from '$lib/words/headline';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const changes = $derived(seasonChanges(data.tests));
</script>

<div class="pt-5 grid grid-cols-1 gap-6">
  <div>
    <p>
      <BackLink href="/plan/ground/{data.area.siteId}?area={data.area.id}" label={data.area.name} />
    </p>
    <h1 class="text-3xl">{t.seasons.of(data.area.name)}</h1>
  </div>
  {#if data.tests.length === 0}
    <p class="text-lg">{t.seasons.none}</p>
  {:else}
    <SeasonLine
      tests={data.tests}
      amendments={data.amendments}
      label={t.seasons.line(data.area.name)}
      {format}
    />
    {#if changes.length === 0}<p class="text-lg">{t.seasons.one}</p>{/if}
  {/if}
  {#each changes as { from, to, parts, real } (to.id)}
    {@const done = doneBetween(data.amendments, format.isoDay(from.at), format.isoDay(to.at))}
    <section class="max-w-[46rem]" aria-label={t.seasons.between(from.code, to.code)}>
      <h2>{t.seasons.between(from.code, to.code)}</h2>
      <p class="text-lg font-bold">{real ? t.seasons.real : t.seasons.same}</p>
      <ul class="plain-list">
        {#each parts as { part, points, sure } (part)}
          <li>
            {t.seasons.changed[points >= 0 ? 'more' : 'less'](
              t.Layer[part],
              t.seasons.points(Math.abs(points).toFixed(0)),
              chanceText(sure)
            )}
          </li>
        {/each}
      </ul>
      <p class="mt-2">
        {#if done.length > 0}
          {t.seasons.doneThen}
          {done.map((d) => `${t.beds.kinds[d.kind]}, ${format.dayOf(d.doneOn)}`).join('; ')}.
        {:else}{t.seasons.nothingDone}{/if}
      </p>
      {#if real}<p class="faded small mt-1">{t.seasons.texture}</p>{/if}
    </section>
  {/each}
  <TestAgain area={data.area} reminders={data.again} {format} now={clock.now} />
  <div class="max-w-[30rem]">
    <AreaBeds
      area={{ ...data.area, samples: [] }}
      holes={data.dug}
      amendments={data.amendments}
      {format}
      now={clock.now}
    />
  </div>
</div>
