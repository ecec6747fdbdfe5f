<!-- @component What is asked about an area: its name, what it is for, what was done to it. -->
<script lang="ts">
  import { HISTORIES, type History } from '$lib/core';
  import { PURPOSES } from '$lib/contract/records/sample';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import { t } from '$lib/words';
  import type { AreaForm } from './form';

  type Props = { form: AreaForm; errors: Record<string, string> };
  let { form = $bindable(), errors }: Props = $props();

  function toggle(history: History, on: boolean) {
    form.history = HISTORIES.filter((h) => (h === history ? on : form.history.includes(h)));
  }
</script>

<Field label={t.ground.areaName} hint={t.ground.areaNameHint} error={errors.name}>
  {#snippet children(entry)}
    <input {...entry} class="input" bind:value={form.name} maxlength="80" />
  {/snippet}
</Field>
<Choice
  label={t.set.samplePurpose}
  bind:value={form.purpose}
  options={PURPOSES.map((value) => ({ value, label: t.purpose[value] }))}
/>
<fieldset class="grid grid-cols-[1fr_1fr] gap-y-0 gap-x-4">
  <legend class="font-semibold text-base">{t.ground.history}</legend>
  {#each HISTORIES as history (history)}
    <label class="flex items-center gap-3 min-h-[40px]">
      <input
        class="checkbox"
        type="checkbox"
        checked={form.history.includes(history)}
        onchange={(e) => toggle(history, e.currentTarget.checked)}
      />
      {t.ground.histories[history]}
    </label>
  {/each}
</fieldset>
<Field label={t.sample.fields.note} error={errors.note}>
  {#snippet children(entry)}
    <textarea {...entry} class="textarea" rows="2" bind:value={form.note} maxlength="500"></textarea>
  {/snippet}
</Field>
