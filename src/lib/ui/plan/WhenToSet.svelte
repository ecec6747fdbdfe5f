<!-- @component Which jars a timetable is made for, from when on, and between which hours somebody is at home. -->
<script lang="ts">
  import type { JarView } from '$lib/workbench/jars';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import Field from '../fields/Field.svelte';
  import MomentField from '../fields/MomentField.svelte';
  import type { PlanTexts } from './planning.svelte';

  type Props = {
    ready: JarView[];
    form: PlanTexts;
    errors: { earliest?: string; homeFrom?: string; homeTo?: string };
    format: Format;
  };
  let { ready, form = $bindable(), errors, format }: Props = $props();

  function include(id: string, on: boolean) {
    form.left = on ? form.left.filter((x) => x !== id) : [...form.left, id];
  }
</script>

<div
  class="grid grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-y-0 gap-x-8 items-start max-md:grid-cols-1 max-md:gap-5"
>
  <fieldset class="border-0 p-0">
    <legend class="font-head text-lg font-[620] leading-[1.3]">{t.timetable.which}</legend>
    {#each ready as v (v.jar.id)}
      <label class="flex gap-4 items-center min-h-touch border-b border-hair cursor-pointer">
        <input
          class="checkbox"
          type="checkbox"
          checked={!form.left.includes(v.jar.id)}
          onchange={(e) => include(v.jar.id, e.currentTarget.checked)}
        />
        <span><b>{v.jar.code}</b> {v.jar.sample.name} <span class="faded">{v.method.name}</span></span>
      </label>
    {/each}
  </fieldset>
  <div class="when grid grid-cols-[1fr_1fr] gap-y-3 gap-x-5">
    <div class="col-span-full max-w-narrow">
      <Field label={t.timetable.earliest} hint={t.timetable.earliestHint} error={errors.earliest}>
        {#snippet children(entry)}
          <MomentField {entry} bind:value={form.earliest} />
        {/snippet}
      </Field>
    </div>
    <Field label={t.timetable.homeFrom} error={errors.homeFrom}>
      {#snippet children(entry)}<input
          {...entry}
          class="input"
          bind:value={form.homeFrom}
          placeholder="08:00"
        />{/snippet}
    </Field>
    <Field label={t.timetable.homeTo} error={errors.homeTo}>
      {#snippet children(entry)}<input
          {...entry}
          class="input"
          bind:value={form.homeTo}
          placeholder="18:00"
        />{/snippet}
    </Field>
    <p class="faded small col-span-full">
      {t.timetable.quiet(format.profile.quietFrom !== format.profile.quietTo)}
      <a class="link" href="/profile">{t.stations.profile}</a>
    </p>
  </div>
</div>

<style>
  @media (max-width: 900px) {
    .when > :global(:first-child) {
      grid-column: 1 / -1;
    }
  }
</style>
