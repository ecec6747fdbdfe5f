<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { askedWith } from '$lib/browser/asked';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import MakeLesson from '$lib/ui/practice/lessons/MakeLesson.svelte';
  import { formatFor } from '$lib/words/format';
  import { t } from '$lib/words';

  let { data } = $props();
  const w = t.lessons;
  const format = $derived(formatFor(page.data.profile, page.data.zone));
</script>

<BackLink href="/practice" label={t.practice.back} />
<h1 class="mt-1">{w.title}</h1>
<p class="faded max-w-reading mb-5">{w.lead}</p>
{#if data.lessons.length === 0}
  <p class="mb-6">{w.none}</p>
{:else}
  <ul class="plain-list mb-8 max-w-wide">
    {#each data.lessons as lesson (lesson.id)}
      <li class="flex flex-wrap items-baseline gap-x-6 gap-y-1 py-3">
        <a class="link ink font-head text-xl font-[620]" href="/practice/lessons/{lesson.id}"
          >{lesson.title}</a
        >
        <span class="tabular-nums font-semibold">{lesson.code}</span>
        <span class="faded small"
          >{w.made(format.day(lesson.createdAt))}{lesson.closedAt === null ? '' : `, ${w.closed}`}</span
        >
      </li>
    {/each}
  </ul>
{/if}
<h2 class="mb-4">{w.make}</h2>
<MakeLesson
  saveLabel={w.save}
  onsave={async (sheet) => {
    const { id } = await askedWith<{ id: string }>('POST', '/api/v1/lessons', sheet);
    await goto(`/practice/lessons/${id}`);
  }}
/>

<style>
  li {
    border-bottom: var(--line) solid var(--hair);
  }
</style>
