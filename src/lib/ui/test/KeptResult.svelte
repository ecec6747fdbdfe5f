<!-- @component What a finished test kept: its soil on the triangle, the outcome in words, and what can be done with it. -->
<script lang="ts">
  import { usualVerdict } from '$lib/workbench/act';
  import type { JudgedBy } from '$lib/workbench/judged-by';
  import { besideMix } from '$lib/workbench/promise';
  import { verdictLine } from '$lib/words/verdict';
  import {
    inkOf,
    isShare,
    type Figures,
    type GroundDrainage,
    type JarResult,
    type JudgeProfile,
    type Technique
  } from '$lib/core';
  import { toJarReading } from '$lib/contract/reading';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { Purpose } from '$lib/contract/records/sample';
  import { TintWork } from '$lib/browser/work';
  import type { CylinderInForce, JarInForce } from '$lib/workbench/result';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import { wholeShares } from '$lib/words/headline';
  import { judgedText } from '$lib/words/judged';
  import Answer from '../answer/Answer.svelte';
  import CylinderOutcome from '../cylinder/CylinderOutcome.svelte';
  import MassOutcome from '../read/MassOutcome.svelte';
  import Outcome from '../read/Outcome.svelte';
  import ShareOutcome from '../read/ShareOutcome.svelte';
  import MixPromise from '../sample/MixPromise.svelte';
  import Triangle from '../triangle/Triangle.svelte';

  type Props = {
    inForce: JarInForce | CylinderInForce;
    jar: JarRecord;
    /** What its sample is judged by. */
    judged: JudgedBy | undefined;
    /** What a bed is asked for, the figures, and how its ground drains. */
    by: {
      profile: JudgeProfile;
      figures: Figures;
      ground: GroundDrainage | null;
      techniques: readonly Technique[];
    };
    format: Format;
    onreopen: () => void;
    onbin: () => void;
  };
  let { inForce, jar, judged, by, format, onreopen, onbin }: Props = $props();

  const snapshot = $derived(inForce.kind === 'jar' ? inForce.snapshot : undefined);
  const entry = $derived(snapshot?.entry);
  const answer = $derived(snapshot?.answer);
  /** The estimate that a result of before the answer carries. */
  const mass = $derived(answer ? undefined : snapshot?.mass);
  const texture = $derived(snapshot && !isShare(snapshot.result) ? snapshot.result : undefined);
  /** What stands large: on the triangle and in its label. */
  const main = $derived(
    inForce.kind === 'cylinder' ? inForce.snapshot.result : texture && (answer ?? texture)
  );
  const shares = $derived(main && wholeShares(main.fractions));
  /** What is asked first of a soil that was taken for this. */
  const ASKS: Partial<Record<Purpose, string>> = { bore: '&ask=bore', build: '&ask=wall' };
  /** There where the test has a soil to be judged; what it comes to, where its purpose is one that has verdicts. */
  const verdict = $derived(judged && { said: usualVerdict(judged, jar.sample.purpose, by) });
  /** Something else says more of its sample than this test. */
  const ruling = $derived(judged && judged.by.id !== jar.id ? judged : undefined);

  /** Of a mix: this jar beside what it promised. */
  const promised = $derived(besideMix(inForce.snapshot, jar.sample.details));
  /** Where it lies: an answer has kept its draws; for others they are drawn again. */
  const tint = new TintWork();
  $effect(() => {
    const system = 'usda' as const;
    if (inForce.kind === 'cylinder') void tint.ask({ system, cylinder: inForce.region });
    else void tint.ask(answer ? undefined : { system, jar: inForce.region });
  });
  const region = $derived(answer ? inkOf(answer) : tint.answer?.region);
</script>

{#snippet asRead(result: JarResult)}
  {#if isShare(result)}
    <ShareOutcome {result} {format} figures={entry?.figures} />
  {:else}
    {#if answer}<Answer {answer} read={result} doubts={snapshot?.doubts} {format} />{/if}
    <Outcome
      {result}
      sigmaMm={entry ? toJarReading(entry).sigmaMm : 0}
      baseMm={entry?.rulerZero ? jar.vessel.baseThicknessMm : 0}
      doubts={snapshot?.doubts}
      figures={entry?.figures}
      {format}
      arithmetic={answer !== undefined}
      byMass={answer?.fractions}
    />
    {#if mass}<MassOutcome estimate={mass} read={result} {format} />{/if}
  {/if}
  {#if entry?.sumNote}<p class="small">{t.read.sumNote}: {entry.sumNote}</p>{/if}
{/snippet}

<section
  class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-y-5 gap-x-8 items-start max-md:grid-cols-1"
  aria-label={t.test.result}
>
  {#if main && shares}
    <Triangle
      point={main.fractions}
      classId={main.class.id}
      probabilities={Object.fromEntries(main.classes.map((c) => [c.id, c.probability]))}
      {region}
      other={answer && texture ? { point: texture.fractions } : mass ? { point: mass.fractions } : undefined}
      label={t.result.triangle(main.class.name, shares.sand, shares.silt, shares.clay)}
    />
  {/if}
  <div>
    {#if inForce.kind === 'jar'}
      {@render asRead(inForce.snapshot.result)}
    {:else}
      <CylinderOutcome result={inForce.snapshot.result} />
    {/if}
    <p class="faded small">{t.test.kept(format.full(inForce.kept.at), inForce.kept.coreVersion)}</p>
    {#if ruling}
      <p class="mt-3 border-l-3 border-ink pl-4" data-testid="judged-by">
        {judgedText(ruling)}
        <a class="link no-print" href="/samples/{jar.sample.id}">{jar.sample.code}</a>
      </p>
    {/if}
    {#if verdict}
      <p class="mt-3">
        {verdict.said && verdictLine(verdict.said)}
        <a class="link no-print" href="/act?test={jar.id}{ASKS[jar.sample.purpose] ?? ''}">{t.act.from}</a>
      </p>
    {/if}
    {#if jar.sample.details.mix && promised}
      <div class="mt-4">
        <MixPromise mix={jar.sample.details.mix} jars={[{ id: jar.id, code: jar.code, beside: promised }]} />
      </div>
    {/if}
    <div class="row-of-actions no-print mt-4">
      {#if inForce.kind === 'cylinder'}
        <a class="btn btn-secondary" href="/read/{jar.id}/cylinder">{t.cylinder.open}</a>
      {/if}
      <button type="button" class="btn btn-secondary" onclick={onreopen}>{t.test.reopen}</button>
      {#if inForce.kind === 'jar'}
        <button type="button" class="btn btn-secondary" onclick={() => print()}>{t.test.print}</button>
      {/if}
      {#if jar.binnedAt === null}
        <button type="button" class="btn btn-secondary" onclick={onbin}>{t.jar.bin}</button>
      {/if}
    </div>
  </div>
</section>
