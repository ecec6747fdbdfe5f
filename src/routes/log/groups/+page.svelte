<script lang="ts">
  import type { LogGroup } from '$lib/contract/records/log';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import SmallTriangle from '$lib/ui/triangle/SmallTriangle.svelte';
  import { logAddress } from '$lib/workbench/find';
  import { t } from '$lib/words';

  let { data } = $props();
  const w = t.log.groups;
  const seasons = $derived(
    [...new Set(data.groups.map(({ year }) => year))].map((year) => ({
      year,
      groups: data.groups.filter((group) => group.year === year)
    }))
  );
  const nameOf = ({ areaName }: LogGroup) => areaName ?? w.noArea;
  /** The log of one group, narrowed as the groups are. */
  const logOf = ({ areaId, year }: LogGroup) =>
    logAddress('/log', {
      ...data.asked,
      from: 0,
      filter: { ...data.asked.filter, year, areaId: areaId ?? data.asked.filter.areaId }
    });
</script>

<p class="mt-6"><BackLink href={logAddress('/log', data.asked)} label={t.log.back} /></p>
<h1>{w.title}</h1>
{#if data.groups.length === 0}<p class="faded">{t.log.noneSo}</p>{/if}
{#each seasons as { year, groups } (year)}
  <section class="mt-5" aria-labelledby="season-{year}">
    <h2 class="season" id="season-{year}">{year}</h2>
    <ul class="plain-list flex flex-wrap gap-x-6 gap-y-6 mt-3">
      {#each groups as group (`${group.areaId} ${group.year}`)}
        <li class="w-[10rem]">
          <SmallTriangle cells={group.cells} label={w.drawing(nameOf(group), year)} />
          {#if group.areaId}
            <a class="link ink font-bold" href={logOf(group)}>{nameOf(group)}</a>
          {:else}<b>{nameOf(group)}</b>{/if}
          {#if group.siteName}<span class="block faded small">{group.siteName}</span>{/if}
          <span class="block">{w.tests(group.tests)}</span>
          <span class="block small">
            {group.classes
              .slice(0, 2)
              .map(({ name, count }) => w.classes(count, name))
              .join(', ') || w.nothing}
          </span>
        </li>
      {/each}
    </ul>
  </section>
{/each}
{#if data.more > 0}<p class="mt-5">{w.more(data.groups.length, data.more)}</p>{/if}

<style>
  .season {
    border-bottom: var(--line-strong) solid var(--rule);
  }
</style>
