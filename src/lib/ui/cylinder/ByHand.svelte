<!-- @component A simulated cylinder run by the learner's own hand: lowering in time, reading stem, thermometer and blank, and what each slip cost. -->
<script lang="ts">
  import { tick } from 'svelte';
  import {
    fillPlan,
    formatDuration,
    known,
    methodByKey,
    pointsApart,
    readNumber,
    STANDARD_VESSELS,
    type Fractions
  } from '$lib/core';
  import TextField from '../fields/TextField.svelte';
  import { t } from '$lib/words';
  import { drawnDarkness } from '$lib/workbench/working/readings';
  import CylinderFigure from './CylinderFigure.svelte';
  import { HandRun, MENISCUS_GL } from './hand-run.svelte';
  import { madeUpSoil, type SimulatedMethod } from './simulated.svelte';
  import StemCloseUp from './StemCloseUp.svelte';
  import ThermometerCloseUp from './ThermometerCloseUp.svelte';
  import { cylinderAnswer } from './worked.svelte';

  type Props = { method: SimulatedMethod };
  let { method }: Props = $props();
  const w = t.cylinder.run.hand;
  /** A bed in the drawing, mm. */
  const SETTLED_MM = 6;
  const SCALES = ['stemGL', 'tempC', 'blankGL'] as const;
  type Scale = (typeof SCALES)[number];
  const vessel = known(
    STANDARD_VESSELS.find((v) => v.id === 'cylinder-1000'),
    'it ships'
  );
  let hand = $state.raw<HandRun>();
  let texts = $state<Record<Scale, string>>({ stemGL: '', tempC: '', blankGL: '' });
  let wrong = $state<Partial<Record<Scale, string>>>({});
  let place = $state<HTMLElement>();
  const finished = $derived(hand?.done ?? false);
  const own = cylinderAnswer(() => (hand && finished ? hand.inputs.own : undefined));
  const perfect = cylinderAnswer(() => (hand && finished ? hand.inputs.perfect : undefined));
  const needsBlank = $derived(hand?.tool === 'hydrometer' && hand.blank === undefined);

  $effect(() => {
    if (hand?.phase !== 'running') return;
    const running = hand;
    const from = running.goneS;
    const began = performance.now();
    const beat = setInterval(() => (running.goneS = from + (performance.now() - began) / 1000), 100);
    return () => clearInterval(beat);
  });
  function start() {
    hand = new HandRun(method, madeUpSoil(), 1 + Math.floor(Math.random() * 1e6));
    hand.pass();
  }
  /** What stands to be read now: the blank once. */
  const toRead = $derived(SCALES.filter((scale) => scale !== 'blankGL' || needsBlank));
  function write() {
    const read = Object.fromEntries(toRead.map((scale) => [scale, readNumber(texts[scale])]));
    wrong = Object.fromEntries(
      toRead.filter((scale) => Number.isNaN(read[scale])).map((scale) => [scale, w.giveNumber])
    );
    if (Object.keys(wrong).length === 0) hand?.write(read);
  }
  async function next() {
    texts = { stemGL: '', tempC: '', blankGL: '' };
    hand?.next();
    await tick();
    place?.focus();
  }
  const timeOff = (lateS: number) =>
    Math.abs(lateS) < 1
      ? w.onTime
      : lateS < 0
        ? w.early(formatDuration(-lateS))
        : w.late(formatDuration(lateS));
  const share = (f: Fractions) => t.know.at(f.sand.toFixed(0), f.silt.toFixed(0), f.clay.toFixed(0));
  const cost = $derived(
    hand && own.answer && perfect.answer
      ? pointsApart(own.answer.result.fractions, perfect.answer.result.fractions)
      : 0
  );
</script>

{#if !hand}
  <p class="max-w-reading mb-4">{t.cylinder.run.handWhat}</p>
  <button type="button" class="btn btn-primary" onclick={start}>{w.begin}</button>
{:else}
  <div class="grid grid-cols-[auto_minmax(0,1fr)] gap-x-8 gap-y-4 items-start max-md:grid-cols-1">
    <div class="max-md:hidden">
      <CylinderFigure
        code="S"
        tool={hand.tool}
        bulb="152H"
        scale={hand.hangsAt}
        dark={drawnDarkness(undefined, hand.goneS)}
        settledMm={SETTLED_MM}
        waterMm={fillPlan(methodByKey(method), vessel).waterMm}
        heightMm={vessel.innerHeightMm}
        innerMm={vessel.innerDiameterMm}
      />
    </div>
    <div class="grid gap-4 content-start">
      <p class="font-head text-3xl font-[660] leading-[1.1] tabular-nums" role="timer" aria-label={w.clock}>
        {formatDuration(hand.goneS)}
      </p>
      {#if !hand.done}
        <h2 class="text-lg" tabindex="-1" bind:this={place}>
          {w.toCome(hand.no + 1, hand.run.times.length, formatDuration(hand.dueS))}
          <span class="faded font-normal">{w.lowerAt(hand.leadS)}</span>
        </h2>
        {#if hand.phase === 'wait'}
          <button type="button" class="btn btn-primary justify-self-start" onclick={() => hand?.pass()}
            >{w.pass}</button
          >
        {:else if hand.phase === 'running'}
          <div class="row-of-actions">
            {#if hand.loweredS === undefined}
              <button type="button" class="btn btn-primary min-h-[60px]" onclick={() => hand?.lower()}
                >{w.lower[hand.tool]}</button
              >
            {:else}
              <button type="button" class="btn btn-primary min-h-[60px]" onclick={() => hand?.read()}
                >{w.read[hand.tool]}</button
              >
              <span class="faded">{w.isIn}</span>
            {/if}
          </div>
        {:else if hand.phase === 'written'}
          <form
            class="grid gap-4"
            onsubmit={(e) => {
              e.preventDefault();
              write();
            }}
          >
            <div class="flex flex-wrap gap-x-7 gap-y-4 items-end">
              {#each toRead as scale (scale)}
                <div class="grid gap-3 max-w-[210px]">
                  {#if scale === 'tempC'}
                    <ThermometerCloseUp tempC={hand.shown.tempC} label={w.closeUp.tempC} />
                  {:else}
                    <StemCloseUp
                      value={hand.shown[scale]}
                      meniscus={MENISCUS_GL}
                      dark={scale === 'stemGL' ? drawnDarkness(undefined, hand.goneS) : 0}
                      label={w.closeUp[scale]}
                    />
                  {/if}
                  <TextField
                    label={w.scale[scale]}
                    error={wrong[scale]}
                    bind:value={texts[scale]}
                    inputmode="decimal"
                    maxlength={8}
                  />
                </div>
              {/each}
            </div>
            <button class="btn btn-primary justify-self-start">{w.keep}</button>
          </form>
        {:else if hand.told}
          <div role="status" class="grid gap-1">
            <p class="text-xl font-head">{w.time(timeOff(hand.told.lateS))}</p>
            {#if hand.told.typed.stemGL !== undefined}
              <p class="tabular-nums">{w.stood(hand.told.typed.stemGL, hand.told.shown.stemGL)}</p>
            {/if}
            {#each hand.told.slips as slip (slip)}<p class="max-w-reading">{w.slips[slip]}</p>{/each}
            {#if hand.told.slips.length === 0}<p>{w.right}</p>{/if}
          </div>
          <button type="button" class="btn btn-primary justify-self-start" onclick={next}>{w.goOn}</button>
        {/if}
      {:else}
        <table class="plain max-w-[34rem]">
          <tbody>
            {#if own.answer}<tr><th scope="row">{w.own}</th><td>{share(own.answer.result.fractions)}</td></tr
              >{/if}
            {#if perfect.answer}<tr
                ><th scope="row">{w.perfect}</th><td>{share(perfect.answer.result.fractions)}</td></tr
              >{/if}
            <tr><th scope="row">{w.truth}</th><td>{share(hand.run.soil)}</td></tr>
          </tbody>
        </table>
        {#if own.answer === undefined && perfect.answer}<p>{w.impossible}</p>
        {:else if hand.slips > 0}<p>{w.cost(cost.toFixed(1))}</p>{:else}<p>{w.right}</p>{/if}
        <button type="button" class="btn btn-secondary justify-self-start" onclick={start}
          >{t.cylinder.run.again}</button
        >
      {/if}
    </div>
  </div>
{/if}
