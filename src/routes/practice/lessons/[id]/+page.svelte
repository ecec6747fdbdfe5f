<script lang="ts">
  import { goto } from '$app/navigation';
  import { sheetTasks, trueTops, type SheetTask } from '$lib/core';
  import { asked, askedWith } from '$lib/browser/asked';
  import { linesThatStay } from '$lib/contract/records/lesson';
  import { lookAgain } from '$lib/browser/look-again';
  import { say, sayProblem } from '$lib/browser/toasts';
  import QrCode from '$lib/ui/kit/QrCode.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import ClassSpread from '$lib/ui/practice/lessons/ClassSpread.svelte';
  import MakeLesson from '$lib/ui/practice/lessons/MakeLesson.svelte';
  import ClassTable from '$lib/ui/practice/lessons/ClassTable.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const w = t.lessons;
  const lesson = $derived(data.lesson);
  let mending = $state(false);
  const tasks = $derived(sheetTasks(lesson.items, lesson.seed));
  const jars = $derived(
    tasks.filter((task): task is Extract<SheetTask, { kind: 'jar' }> => task.kind === 'jar')
  );
  const readingsOf = (no: number) =>
    lesson.learners.flatMap((learner) => {
      const given = learner.answers.find((one) => one.no === no)?.given;
      return given?.kind === 'jar' ? [{ name: learner.name, tops: given.tops }] : [];
    });

  /** Asks for something. @returns whether it was done */
  const done = (asking: Promise<unknown>): Promise<boolean> =>
    asking.then(
      () => true,
      (problem: Error) => {
        sayProblem(problem.message);
        return false;
      }
    );
  async function change(method: 'PATCH' | 'POST', path: string, body: object) {
    if (await done(askedWith(method, path, body))) await lookAgain().catch(() => {});
  }
  async function remove() {
    if (!(await done(asked(`/api/v1/lessons/${lesson.id}`, { method: 'DELETE' })))) return;
    say(w.removed);
    await goto('/practice/lessons');
  }
  async function copyLink() {
    await navigator.clipboard.writeText(`${data.join}/${lesson.code}`);
    say(w.copied);
  }
</script>

<BackLink href="/practice/lessons" label={w.title} />
<h1 class="mt-1 mb-4">{lesson.title}</h1>
<div class="flex flex-wrap items-end gap-x-9 gap-y-4 mb-6">
  <div>
    <p class="faded small">{w.handOut}{lesson.closedAt === null ? '' : `, ${w.closed}`}</p>
    <p class="font-head text-4xl font-[680] leading-[1.05] tracking-[0.08em]">{lesson.code}</p>
  </div>
  <QrCode text="{data.join}/{lesson.code}" size={132} label={w.qr} />
  <div class="grid gap-1">
    <p>{w.address(data.join)}</p>
    <div class="row-of-actions">
      <button type="button" class="btn btn-secondary" onclick={copyLink}>{w.copyLink}</button>
      <a class="btn btn-secondary" href="/api/v1/lessons/{lesson.id}/table.csv" download>{w.csv}</a>
      <button
        type="button"
        class="btn btn-secondary"
        onclick={() => change('PATCH', `/api/v1/lessons/${lesson.id}`, { closed: lesson.closedAt === null })}
        >{lesson.closedAt === null ? w.close : w.open}</button
      >
    </div>
  </div>
</div>

<div class="row-of-actions mb-6">
  <a class="btn btn-secondary" href="/practice/lessons/{lesson.id}/sheet">{w.asLearner}</a>
  <button type="button" class="btn btn-secondary" aria-expanded={mending} onclick={() => (mending = !mending)}
    >{w.mend}</button
  >
</div>
{#if mending}
  <section aria-label={w.mend} class="mb-7">
    <MakeLesson
      sheet={lesson}
      fixed={linesThatStay(
        lesson,
        lesson.learners.some((one) => one.answers.length > 0)
      )}
      saveLabel={w.mendKeep}
      onsave={async (sheet) => {
        await askedWith('PUT', `/api/v1/lessons/${lesson.id}`, sheet);
        await lookAgain().catch(() => {});
        mending = false;
        say(w.mended);
      }}
    />
  </section>
{/if}
<section aria-labelledby="class" class="mb-7">
  <h2 id="class" class="mb-2">{w.classTitle}</h2>
  {#if lesson.learners.length === 0}
    <p class="faded">{w.nobody}</p>
  {:else}
    <ClassTable
      {tasks}
      learners={lesson.learners}
      onmark={(id, points) => void change('PATCH', `/api/v1/answers/${id}`, { points })}
      onchange={(id, what) => void change('POST', `/api/v1/learners/${id}`, { what })}
    />
  {/if}
</section>
<div class="grid gap-7 mb-8">
  {#each jars as jar (jar.no)}
    <ClassSpread
      code={jar.code}
      readings={readingsOf(jar.no)}
      truth={jar.picture ? trueTops(jar.picture) : undefined}
    />
  {/each}
</div>
<div class="grid gap-1 justify-items-start">
  <button type="button" class="btn btn-secondary" onclick={remove}>{w.remove}</button>
  <p class="faded small max-w-reading">{w.removeNote}</p>
</div>
