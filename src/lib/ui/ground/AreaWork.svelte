<!-- @component An area in the making beside the sheet: drawn corner by corner or put down by its measures, then written up and kept. -->
<script lang="ts">
  import { areaOf, formatGround, outcomeOf, parseMetres, type Outline } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import type { AreaRecord } from '$lib/contract/records/ground';
  import BothVersions from '../fields/BothVersions.svelte';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { ulid } from 'ulid';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import AreaFields from './AreaFields.svelte';
  import { areaForm as formOfArea, freePlace, outlineProblem, rectangleAt, type AreaWork } from './form';

  type Props = {
    work: AreaWork;
    siteId: string;
    /** The area that is changed, as it is on record. */
    area?: AreaRecord;
    /** Outlines that are on the sketch already. */
    there: readonly Outline[];
    format: Format;
    /** It is on record. */
    onkept: (areaId: string) => void;
    onleave: () => void;
  };
  let { work = $bindable(), siteId, area, there, format, onkept, onleave }: Props = $props();

  let measureErrors = $state<Record<string, string>>({});
  const outlineError = $derived(work.closed ? outlineProblem(work.form.outline) : '');
  const areaForm = commandForm({
    id: 'area',
    texts: () => work,
    read: ({ editing, form }) => ({
      errors: outlineError ? { outline: outlineError } : {},
      payload: {
        ...form,
        outline: form.outline.map(([x, y]): [number, number] => [x, y]),
        editing,
        areaId: editing ?? ulid()
      }
    }),
    record: () => (area ? formOfArea(area) : {}),
    refill: () => area && (work.form = formOfArea(area)),
    keep: async ({ editing, ...payload }, seen) => {
      const sent = editing
        ? await send('area.edit', payload, undefined, seen)
        : await send('area.add', { ...payload, siteId });
      offerUndo(sent, t.ground.areaKept(payload.name.trim()));
      onkept(payload.areaId);
    }
  });
  const errors = $derived({ ...areaForm.errors, ...(outlineError ? { outline: outlineError } : {}) });

  function byMeasures() {
    measureErrors = {};
    const read = (field: 'wide' | 'high'): number => {
      const { done, problem } = outcomeOf(() => parseMetres(work[field]));
      if (problem) measureErrors[field] = problem.message;
      return done ?? NaN;
    };
    const [wide, high] = [read('wide'), read('high')];
    if (Object.keys(measureErrors).length > 0) return;
    work.form.outline = rectangleAt(freePlace(there, wide, high), wide, high);
    work.closed = true;
  }
  const lead = $derived(t.ground.drawLead[Math.min(3, work.form.outline.length) as 0 | 1 | 2 | 3]);
</script>

<section aria-labelledby="work-title">
  <h2 class="mb-2" id="work-title">{work.editing ? t.ground.editTitle : t.ground.newArea}</h2>
  {#if !work.closed}
    <p class="border-l-3 border-pen pl-4 mt-2 mb-4">{lead}</p>
    <div class="row-of-actions">
      <button
        type="button"
        class="btn btn-primary"
        disabled={work.form.outline.length < 3}
        onclick={() => (work.closed = true)}>{t.ground.close}</button
      >
      <button
        type="button"
        class="btn btn-secondary"
        disabled={work.form.outline.length === 0}
        onclick={() => (work.form.outline = work.form.outline.slice(0, -1))}>{t.ground.back}</button
      >
      <button type="button" class="btn btn-secondary" onclick={onleave}>{t.common.cancel}</button>
    </div>
    <h3 class="mt-5 mb-2">{t.ground.byMeasures}</h3>
    <div class="grid grid-cols-[1fr_1fr] gap-4 items-start">
      <Field label={t.ground.wide} error={measureErrors.wide}>
        {#snippet children(entry)}
          <input {...entry} class="input" bind:value={work.wide} placeholder="4 m" />
        {/snippet}
      </Field>
      <Field label={t.ground.high} error={measureErrors.high}>
        {#snippet children(entry)}
          <input {...entry} class="input" bind:value={work.high} placeholder="10 m" />
        {/snippet}
      </Field>
    </div>
    <p>
      <button type="button" class="btn btn-secondary" onclick={byMeasures}>{t.ground.putRectangle}</button>
    </p>
  {:else}
    <form class="grid gap-4" use:areaForm.enhance method="POST" novalidate>
      {#if !work.editing}
        <p class="size">
          {errors.outline ? '' : formatGround(areaOf(work.form.outline), format.profile.length)}
          <button
            type="button"
            class="link font-text text-base font-normal leading-[1.2]"
            onclick={() => (work.closed = false)}>{t.ground.drawOn}</button
          >
        </p>
      {/if}
      {#if errors.outline}<p class="wrong" role="alert">{errors.outline}</p>{/if}
      <AreaFields bind:form={work.form} {errors} />
      <BothVersions form={areaForm} />
      {#if areaForm.errors[''] && !areaForm.meanwhile}<p class="wrong" role="alert">
          {areaForm.errors['']}
        </p>{/if}
      <div class="row-of-actions">
        <button class="btn btn-primary">{t.ground.keepArea}</button>
        <button type="button" class="btn btn-secondary" onclick={onleave}>{t.common.cancel}</button>
      </div>
    </form>
  {/if}
</section>

<style>
  .size {
    font: 650 var(--text-2xl)/1.2 var(--face-head);
    margin: 0;
    display: flex;
    justify-content: space-between;
    align-items: baseline;
  }
</style>
