<script lang="ts">
  import { onDestroy } from 'svelte';
  import { classifyTexture, linesThatMiss, sandTheWrongWay } from '$lib/core';
  import KnowNav from '$lib/ui/know/KnowNav.svelte';
  import Lesson from '$lib/ui/know/Lesson.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const say = t.know.howTo;
  const soil = $derived(data.soil);
  const { sand, silt, clay } = $derived(soil);
  const own = $derived(classifyTexture(data.system, soil));
  const pct = (value: number) => `${value.toFixed(1).replace(/\.0$/, '')} %`;

  let step = $state(0);
  const last = say.steps.length - 1;
  let playing: ReturnType<typeof setInterval> | undefined;
  function play() {
    step = 0;
    clearInterval(playing);
    playing = setInterval(() => {
      if (step === last) clearInterval(playing);
      else step += 1;
    }, 1800);
  }
  function go(to: number) {
    clearInterval(playing);
    step = Math.min(last, Math.max(0, to));
  }
  onDestroy(() => clearInterval(playing));

  const SCALES = [undefined, 'clay', 'silt', 'sand', undefined] as const;
  /** Each line begins on the scale where its percentage is written. */
  const all = $derived([
    { key: 'clay', from: { sand: 100 - clay, silt: 0, clay }, to: { sand: 0, silt: 100 - clay, clay } },
    { key: 'silt', from: { sand: 0, silt, clay: 100 - silt }, to: { sand: 100 - silt, silt, clay: 0 } },
    { key: 'sand', from: { sand, silt: 100 - sand, clay: 0 }, to: { sand, silt: 0, clay: 100 - sand } }
  ]);
  const lines = $derived(all.slice(0, Math.min(3, step)));
  const words = $derived([
    say.steps[0].text,
    say.steps[1].text(pct(clay)),
    say.steps[2].text(pct(silt)),
    say.steps[3].text(pct(sand)),
    say.steps[4].text(own.name)
  ]);

  const wrongWay = $derived(sandTheWrongWay(soil));
  const wrongClass = $derived(wrongWay && classifyTexture(data.system, wrongWay.lands));
  /** A slip of ten points in the silt: the commonest is to read one mark too far. */
  const slip = $derived(silt + 10 <= 100 - Math.max(sand, clay) ? silt + 10 : silt - 10);
  const missed = $derived(linesThatMiss({ sand, silt: slip, clay }));
  const missLines = $derived([
    all[0],
    {
      key: 'silt',
      from: { sand: 0, silt: slip, clay: 100 - slip },
      to: { sand: 100 - slip, silt: slip, clay: 0 },
      wrong: true
    },
    all[2]
  ]);
</script>

<KnowNav />
<div class="grid grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-y-5 gap-x-9 items-center max-md:grid-cols-1">
  <div class="max-w-[640px]">
    <Lesson
      system={data.system}
      {lines}
      points={step === last ? [{ f: soil, word: '' }] : []}
      named={step === last ? [own.id] : []}
      scale={SCALES[step]}
      label={`${say.steps[step].head}. ${words[step]}`}
    />
  </div>
  <div class="say">
    <h1>{say.title}</h1>
    <p class="faded">{say.lead}</p>
    <ol class="steps list-none p-0 my-5 grid">
      {#each say.steps as s, i (s.head)}
        <li class="border-b border-hair" class:now={i === step}>
          <button type="button" onclick={() => go(i)} aria-current={i === step ? 'step' : undefined}
            ><b class="inline-block w-[1.8rem] font-[750]">{i + 1}</b> {s.head}</button
          >
          {#if i === step}<p class="mb-3 mr-0 ml-7 text-lg" aria-live="polite">{words[i]}</p>{/if}
        </li>
      {/each}
    </ol>
    <div class="row-of-actions no-print">
      <button type="button" class="btn btn-secondary" disabled={step === 0} onclick={() => go(step - 1)}
        >{say.before}</button
      >
      <button type="button" class="btn btn-primary" disabled={step === last} onclick={() => go(step + 1)}
        >{say.next}</button
      >
      <button type="button" class="btn btn-secondary" onclick={play}>{say.play}</button>
    </div>
    <p class="faded small">{say.loam}</p>
  </div>
</div>

<h2 class="mt-7 mb-3">{say.wrongTitle}</h2>
<div class="grid grid-cols-[repeat(auto-fit,minmax(300px,1fr))] gap-y-6 gap-x-9">
  {#if wrongWay && wrongClass}
    <figure class="max-w-[520px]">
      <Lesson
        system={data.system}
        lines={[all[0], { key: 'wrong', from: wrongWay.from, to: wrongWay.to, wrong: true }]}
        points={[
          { f: soil, word: own.name },
          ...(wrongClass.id === own.id ? [] : [{ f: wrongWay.lands, word: wrongClass.name, wrong: true }])
        ]}
        named={[]}
        label={say.wrongWay}
      />
      <figcaption class="mt-2">
        <b>{say.wrongWay}</b>
        {wrongClass.id === own.id ? say.wrongWaySame(own.name) : say.wrongWayText(wrongClass.name, own.name)}
      </figcaption>
    </figure>
  {/if}
  <figure class="max-w-[520px]">
    <Lesson system={data.system} lines={missLines} points={[]} patch={missed} label={say.noMeet} />
    <figcaption class="mt-2">
      <b>{say.noMeet}</b>
      {say.noMeetText(t.layer.silt, pct(slip), pct(sand + slip + clay))}
    </figcaption>
  </figure>
</div>

<style>
  .steps button {
    display: block;
    width: 100%;
    min-height: 44px;
    text-align: left;
    border: 0;
    background: none;
    color: var(--faded);
    font: 550 var(--text-lg) var(--face-head);
    cursor: pointer;
    padding: 0;
  }
  .steps .now button {
    color: var(--pen);
  }
</style>
