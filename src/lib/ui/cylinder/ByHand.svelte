<!-- @component A simulated cylinder run by the learner's own hand: lowering in time, reading stem, thermometer and blank, and what each slip cost. -->
<script lang="ts">
  import { tick } from 'svelte';
  import {
    fillPlan,
    formatDuration,
    known,
    methodByKey,
    pointsApart,
    STANDARD_VESSELS,
    type Fractions
  } from '$lib/core';
  import TextField from '../fields/TextField.svelte';
  import { t } from '$lib/words';
  import CylinderFigure from './CylinderFigure.svelte';
  import { HandRun, MENISCUS_GL } from './hand-run.svelte';
  import { madeUpSoil, type SimulatedMethod } from './simulated.svelte';
  import StemCloseUp from './StemCloseUp.svelte';
  import ThermometerCloseUp from './ThermometerCloseUp.svelte';
  import { cylinderAnswer } from './worked.svelte';

  type Props = { method: SimulatedMethod };
  let { method }: Props = $props();
  const w = t.cylinder.run.hand;
  const vessel = known(
    STANDARD_VESSELS.find((v) => v.id === 'cylinder-1000'),
    'it ships'
  );
  let hand = $state.raw<HandRun>();
  let texts = $state({ value: '', tempC: '', blank: '' });
  let wrong = $state<Partial<Record<'value' | 'tempC' | 'blank', string>>>({});
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
  function write() {
    if (!hand) return;
    const number = (text: string) => Number.parseFloat(text.replace(',', '.'));
    const read = { value: number(texts.value), tempC: number(texts.tempC), blank: number(texts.blank) };
    wrong = {};
    for (const key of ['value', 'tempC', ...(needsBlank ? (['blank'] as const) : [])] as const)
      if (!Number.isFinite(read[key])) wrong[key] = w.giveNumber;
    if (Object.keys(wrong).length > 0) return;
    hand.write({ ...read, blank: needsBlank ? read.blank : undefined });
  }
  async function next() {
    texts = { value: '', tempC: '', blank: '' };
    hand?.next();
    await tick();
    place?.focus();
  }
  const timeOff = (byS: number) =>
    Math.abs(byS) < 1 ? w.onTime : byS < 0 ? w.early(formatDuration(-byS)) : w.late(formatDuration(byS));
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
        scale={hand.loweredS === undefined || hand.phase === 'wait'
          ? undefined
          : hand.tool === 'pipette'
            ? 0
            : 20}
        dark={0.75 * Math.exp(-hand.goneS / 20_000)}
        settledMm={Math.min(20, 2 + Math.log1p(hand.goneS))}
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
              <div class="grid gap-3 w-[210px]">
                <StemCloseUp value={hand.shown.value} meniscus={MENISCUS_GL} dark={0.6} label={w.stem} />
                <TextField
                  label={w.stemLabel}
                  error={wrong.value}
                  bind:value={texts.value}
                  inputmode="decimal"
                  maxlength={8}
                />
              </div>
              <div class="grid gap-3 w-[140px]">
                <ThermometerCloseUp tempC={hand.shown.tempC} label={w.thermometer} />
                <TextField
                  label={w.thermometerLabel}
                  error={wrong.tempC}
                  bind:value={texts.tempC}
                  inputmode="decimal"
                  maxlength={8}
                />
              </div>
              {#if needsBlank}
                <div class="grid gap-3 w-[210px]">
                  <StemCloseUp value={hand.shown.blank} meniscus={MENISCUS_GL} dark={0} label={w.blank} />
                  <TextField
                    label={w.blankLabel}
                    error={wrong.blank}
                    bind:value={texts.blank}
                    inputmode="decimal"
                    maxlength={8}
                  />
                </div>
              {/if}
            </div>
            <button class="btn btn-primary justify-self-start">{w.keep}</button>
          </form>
        {:else if hand.told}
          <div role="status" class="grid gap-1">
            <p class="text-xl font-head">{w.time(timeOff(hand.told.byS))}</p>
            {#if hand.told.typed !== undefined && hand.told.shown !== undefined}
              <p class="tabular-nums">{w.scale(hand.told.typed, hand.told.shown)}</p>
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
