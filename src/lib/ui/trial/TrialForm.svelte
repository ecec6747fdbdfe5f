<!-- @component A set of trial pieces as it is planned: of which soil, what is mixed in, how many, and how long they cure and soak. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { BINDERS, FIRST_BINDER_PCT, TRIAL_KINDS, type Figures, type TrialKind } from '$lib/core';
  import type { TrialRecord } from '$lib/contract/records/trial';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import type { TrialView } from '$lib/workbench/trials';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import PickOptions from '../fields/PickOptions.svelte';
  import TextField from '../fields/TextField.svelte';
  import BothVersions from '../fields/BothVersions.svelte';
  import { commandForm } from '../fields/command-form.svelte';
  import CureLine from './CureLine.svelte';
  import TrialDrawing from './TrialDrawing.svelte';
  import { freshPlan, keptPlan, plannedView, PLAN_FIELDS, readPlan, usualCure, type PlanTexts } from './plan';

  type Props = {
    samples: readonly { id: string; code: string; name: string }[];
    asked: { sample: string | null; kind: TrialKind; mix: string };
    figures: Figures;
    /** A set that is corrected; its soil and its kind stay. */
    trial?: TrialRecord;
    onkept?: () => void;
    format: Format;
  };
  let { samples, asked, figures, trial, onkept, format }: Props = $props();

  const unit = $derived(format.profile.length);
  const trialId = untrack(() => trial?.id ?? ulid());
  let texts = $state<PlanTexts>(
    untrack(() =>
      trial
        ? keptPlan(trial, unit)
        : {
            ...freshPlan(asked.kind, figures, unit),
            sample: asked.sample ?? samples[0]?.id ?? '',
            mix: asked.mix
          }
    )
  );
  const block = $derived(texts.kind === 'block');
  const cures = $derived(block || texts.kind === 'box');

  function toKind(kind: TrialKind) {
    const { sample, mix, note } = texts;
    texts = { ...freshPlan(kind, figures, unit), sample, mix, note };
  }
  function toBinder(binder: PlanTexts['binder']) {
    texts = {
      ...texts,
      binder,
      binderPct: binder === 'none' ? '' : texts.binderPct || String(FIRST_BINDER_PCT),
      cure: usualCure(binder, figures)
    };
  }

  /** What its form changes. */
  const CHANGED = [
    ...(['mix', 'binder', 'binderPct', 'waterPct', 'pressure', 'piston', 'box'] as const),
    ...(['count', 'soaked', 'cureDays', 'soakDays', 'note'] as const)
  ];
  const form = commandForm({
    id: untrack(() => (trial ? 'trial-edit' : 'trial')),
    texts: () => texts,
    read: (o) => readPlan(o, unit, trialId),
    command: 'trial.plan',
    names: PLAN_FIELDS,
    record: () => Object.fromEntries(CHANGED.map((field) => [field, trial?.[field]])),
    refill: () => trial && (texts = keptPlan(trial, unit)),
    keep: async (payload, seen) => {
      if (trial) {
        const { sampleId: _s, kind: _k, ...fields } = payload;
        offerUndo(await send('trial.edit', fields, undefined, seen), t.trial.kept(trial.code));
        onkept?.();
        return;
      }
      const sent = await send('trial.plan', payload);
      const code = sent.done ? (sent.answer.code ?? '') : '';
      await goto(`/trials/${payload.trialId}`);
      offerUndo(sent, t.trial.planned(code), () => goto('/'));
    },
    draft: {
      key: untrack(() => (trial ? `trial-edit:${trial.id}` : 'trial')),
      take: (kept) => (texts = { ...texts, ...kept, sample: texts.sample, mix: texts.mix || kept.mix }),
      measured: { lengths: ['piston', 'box'] }
    }
  });
  const errors = $derived(form.errors);
  /** The board as it will look, kept while a field is being typed. */
  let board = $state.raw<TrialView>();
  $effect.pre(() => {
    board = plannedView(texts, figures, unit) ?? untrack(() => board);
  });
</script>

{#snippet typed(key: Exclude<keyof PlanTexts, 'kind' | 'binder'>, label: string, hint?: string)}
  <TextField {label} {hint} error={errors[key]} bind:value={texts[key]} />
{/snippet}

<div
  class="grid gap-x-9 gap-y-5 items-start {trial
    ? ''
    : 'grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)] max-md:grid-cols-1'}"
>
  <form class="grid grid-cols-2 gap-x-6 gap-y-4 max-sm:grid-cols-1" use:form.enhance method="POST" novalidate>
    {#if !trial}
      <Field label={t.trial.kind} hint={t.trial.kinds[texts.kind].lead}>
        {#snippet children(entry)}
          <select
            {...entry}
            class="select"
            value={texts.kind}
            onchange={(e) => toKind(e.currentTarget.value as TrialKind)}
          >
            {#each TRIAL_KINDS as kind (kind)}<option value={kind}>{t.trial.kinds[kind].many}</option>{/each}
          </select>
        {/snippet}
      </Field>
      <Field label={t.trial.sample} error={errors.sample}>
        {#snippet children(entry)}
          <select {...entry} class="select" bind:value={texts.sample}>
            <PickOptions of={samples} />
          </select>
        {/snippet}
      </Field>
    {/if}
    <div class="col-span-full">{@render typed('mix', t.trial.mix, t.trial.mixHint)}</div>
    {#if cures}
      <Field label={t.trial.binder}>
        {#snippet children(entry)}
          <select
            {...entry}
            class="select"
            value={texts.binder}
            onchange={(e) => toBinder(e.currentTarget.value as PlanTexts['binder'])}
          >
            {#each BINDERS as binder (binder)}<option value={binder}
                >{binder === 'none' ? t.trial.noBinder : t.trial.binders[binder]}</option
              >{/each}
          </select>
        {/snippet}
      </Field>
      {#if texts.binder === 'none'}<span class="max-sm:hidden"></span>{:else}
        {@render typed('binderPct', t.trial.binderPct)}
      {/if}
    {/if}
    {@render typed('count', t.trial.count)}
    {#if block}{@render typed('soaked', t.trial.soaked)}{/if}
    {@render typed('water', t.trial.water)}
    {#if block}{@render typed('pressure', t.trial.pressure, t.trial.pressureHint)}{/if}
    {#if texts.kind === 'box'}{@render typed('box', t.trial.box)}{/if}
    {#if cures}{@render typed('cure', t.trial.cure)}{/if}
    {#if block}
      {@render typed('soak', t.trial.soak)}
      {@render typed('piston', t.trial.piston)}
      {@render typed('area', t.trial.area)}
    {/if}
    <div class="col-span-full">{@render typed('note', t.trial.note)}</div>
    <div class="col-span-full"><BothVersions {form} /></div>
    {#if errors[''] && !form.meanwhile}<p class="wrong col-span-full" role="alert">{errors['']}</p>{/if}
    <p><button class="btn btn-primary">{trial ? t.trial.keep : t.trial.plan}</button></p>
  </form>
  {#if !trial && board}
    <div class="sticky top-5 max-md:static" data-testid="board">
      <TrialDrawing view={board} />
      <CureLine tasks={board.tasks} />
    </div>
  {/if}
</div>
