<!-- @component A hole that is dug: where, how deep and wide, and what may spoil it. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { lengthForField } from '$lib/core';
  import { HOLE_NOTES, type HoleNote, type HoleRecord } from '$lib/contract/records/hole';
  import type { PayloadInput } from '$lib/contract/commands';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import TextField from '../fields/TextField.svelte';
  import BothVersions from '../fields/BothVersions.svelte';
  import { commandForm, type FieldErrors, type FormRead } from '../fields/command-form.svelte';
  import { keptLength, readLength } from '$lib/workbench/entry/figure';

  type Area = { id: string; name: string; spots: { id: string; no: number }[] };
  type Props = {
    areas: readonly Area[];
    asked: string | null;
    /** A hole whose measures and notes are corrected; its place stays. */
    hole?: HoleRecord;
    /** It was corrected. */
    onkept?: () => void;
    format: Format;
  };
  let { areas, asked, hole, onkept, format }: Props = $props();

  /** A bucket's measures. */
  const USUAL_MM = 300;
  const unit = $derived(format.profile.length);
  const textsOf = () => ({
    area: asked ?? areas[0]?.id ?? '',
    spot: '',
    depth: hole ? keptLength(hole.depth, unit) : lengthForField(USUAL_MM, unit),
    width: hole ? keptLength(hole.width, unit) : lengthForField(USUAL_MM, unit),
    notes: [...(hole?.notes ?? [])] as HoleNote[],
    note: hole?.note ?? ''
  });
  let texts = $state(untrack(textsOf));
  const spots = $derived(areas.find((a) => a.id === texts.area)?.spots ?? []);

  function read(o: typeof texts): FormRead<PayloadInput<'hole.dig'>> {
    const errors: FieldErrors = {};
    const [depth, width] = [readLength(o.depth, unit), readLength(o.width, unit)];
    if (depth.error) errors.depth = depth.error;
    if (width.error) errors.width = width.error;
    if (depth.value === undefined || width.value === undefined) return { errors };
    return {
      errors,
      payload: {
        holeId: hole?.id ?? ulid(),
        areaId: o.area,
        spotId: spots.some((s) => s.id === o.spot) ? o.spot : null,
        depth: { mm: depth.value, text: o.depth },
        width: { mm: width.value, text: o.width },
        notes: o.notes,
        note: o.note
      }
    };
  }
  const form = commandForm({
    id: untrack(() => (hole ? 'hole-edit' : 'hole')),
    texts: () => texts,
    read,
    command: 'hole.dig',
    names: { areaId: 'area', spotId: 'spot' },
    record: () => ({ depth: hole?.depth, width: hole?.width, notes: hole?.notes, note: hole?.note }),
    refill: () => (texts = textsOf()),
    keep: async (payload, seen) => {
      if (hole) {
        const { areaId: _a, spotId: _s, ...fields } = payload;
        offerUndo(await send('hole.edit', fields, undefined, seen), t.hole.done.kept(hole.code));
        onkept?.();
        return;
      }
      const sent = await send('hole.dig', payload);
      const code = sent.done ? (sent.answer.code ?? '') : '';
      await goto(`/holes/${payload.holeId}`);
      offerUndo(sent, t.hole.dug(code), () => goto('/'));
    },
    draft: {
      key: untrack(() => (hole ? `hole-edit:${hole.id}` : 'hole')),
      take: (kept) => (texts = { ...texts, ...kept, area: texts.area, spot: '' }),
      measured: { lengths: ['depth', 'width'] }
    }
  });
  const errors = $derived(form.errors);
</script>

<form class="grid grid-cols-2 gap-x-6 gap-y-4 max-sm:grid-cols-1" use:form.enhance method="POST" novalidate>
  {#if !hole}
    <Field label={t.hole.where} error={errors.area}>
      {#snippet children(entry)}
        <select {...entry} class="select" bind:value={texts.area}>
          {#each areas as area (area.id)}<option value={area.id}>{area.name}</option>{/each}
        </select>
      {/snippet}
    </Field>
    <Field label={t.hole.spot} error={errors.spot}>
      {#snippet children(entry)}
        <select {...entry} class="select" bind:value={texts.spot}>
          <option value="">{t.hole.anySpot}</option>
          {#each spots as spot (spot.id)}<option value={spot.id}>{t.hole.spotNo(spot.no)}</option>{/each}
        </select>
      {/snippet}
    </Field>
  {/if}
  <TextField label={t.hole.depth} error={errors.depth} bind:value={texts.depth} />
  <TextField label={t.hole.width} error={errors.width} bind:value={texts.width} />
  <fieldset class="col-span-full">
    <legend class="font-semibold">{t.hole.notes}</legend>
    <div class="flex flex-wrap gap-x-6">
      {#each HOLE_NOTES as one (one)}
        <label class="flex items-center gap-2 min-h-touch">
          <input type="checkbox" class="checkbox" value={one} bind:group={texts.notes} />
          {t.hole.noteOf[one]}
        </label>
      {/each}
    </div>
  </fieldset>
  <div class="col-span-full">
    <TextField label={t.hole.note} error={errors.note} maxlength={500} bind:value={texts.note} />
  </div>
  <div class="col-span-full"><BothVersions {form} /></div>
  {#if errors[''] && !form.meanwhile}<p class="wrong col-span-full" role="alert">{errors['']}</p>{/if}
  <p><button class="btn btn-primary">{hole ? t.hole.keep : t.hole.dig}</button></p>
</form>
