<script lang="ts">
  import { onMount, tick } from 'svelte';
  import { DRILL_KEYS, type DrillKey, type Given, type Score } from '$lib/core';
  import { say } from '$lib/browser/toasts';
  import Field from '$lib/ui/fields/Field.svelte';
  import TextField from '$lib/ui/fields/TextField.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import DrillHistory from '$lib/ui/practice/DrillHistory.svelte';
  import { Drilling } from '$lib/ui/practice/drilling.svelte';
  import DrillTask from '$lib/ui/practice/drills/DrillTask.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const w = t.drills;
  const course = new Drilling();
  let answered = $state(false);
  let place = $state<HTMLElement>();
  onMount(() => void course.start(data.own));

  async function go() {
    answered = false;
    course.go();
    await tick();
    place?.focus();
  }
  async function keep(given: Given, score: Score) {
    answered = true;
    await course.answered(given, score);
  }
  async function forget() {
    await course.forget();
    say(w.forgotten);
  }
  function turn(key: DrillKey | 'all') {
    course.only = key;
    if (course.task) void go();
  }
</script>

<BackLink href="/practice" label={t.practice.back} />
<h1 class="mt-1">{w.title}</h1>
<p class="faded max-w-reading mb-5">{w.lead}</p>
<div class="grid grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)] gap-x-9 gap-y-6 items-start max-md:grid-cols-1">
  <section aria-label={w.title}>
    {#if course.task && course.next}
      <h2 class="text-base font-normal mb-3" tabindex="-1" bind:this={place}>
        <span class="faded"
          >{w.names[course.next.key]}, {w.level(course.next.level)}{course.next.again
            ? `, ${w.again}`
            : ''}</span
        >
      </h2>
      {#key course.task}<DrillTask task={course.task} onanswer={keep} />{/key}
      {#if answered}
        <button type="button" class="btn btn-primary mt-5" onclick={go}>{w.next}</button>
      {/if}
    {:else}
      <button type="button" class="btn btn-primary" onclick={go}>{w.begin}</button>
    {/if}
    {#if course.problem}<p class="wrong mt-3" role="alert">{course.problem}</p>{/if}
  </section>
  <aside class="grid gap-4">
    {#if data.own === undefined}
      <TextField
        label={w.who}
        hint={w.whoHint}
        bind:value={course.name}
        maxlength={40}
        list="practised"
        onchange={() => void course.look()}
      />
      <datalist id="practised">
        {#each data.learners as one (one.name)}<option value={one.name}></option>{/each}
      </datalist>
    {:else}<p class="faded small">{w.underName(data.own)}</p>{/if}
    <Field label={w.whichLabel}>
      {#snippet children(entry)}
        <select
          {...entry}
          class="select"
          value={course.only}
          onchange={(e) => turn(e.currentTarget.value as DrillKey | 'all')}
        >
          <option value="all">{w.all}</option>
          {#each DRILL_KEYS as key (key)}<option value={key}>{w.names[key]}</option>{/each}
        </select>
      {/snippet}
    </Field>
    <div>
      <h2 class="text-lg">{w.history}</h2>
      {#if course.tries.length === 0}<p class="faded small">{w.none}</p>{/if}
      <DrillHistory tries={course.tries} now={course.next?.key} />
    </div>
    {#if course.tries.length > 0}
      <button type="button" class="link justify-self-start" onclick={forget}>{w.forget}</button>
    {/if}
  </aside>
</div>
