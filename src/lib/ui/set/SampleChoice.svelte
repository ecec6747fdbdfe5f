<!-- @component Which soil a jar is of: a sample on record, or a new one, of an area on the sketch if it is from one. -->
<script lang="ts">
  import { PURPOSES, type Purpose, type SampleRecord } from '$lib/contract/records/sample';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import PickOptions from '../fields/PickOptions.svelte';
  import { t } from '$lib/words';
  import type { SetForm } from './form';

  type Props = {
    form: SetForm;
    samples: SampleRecord[];
    areas: { id: string; code: string; name: string; purpose: Purpose }[];
    error: Record<string, string | undefined>;
  };
  let { form = $bindable(), samples, areas, error }: Props = $props();

  /** An area brings its name and purpose, unless something else has been typed. */
  function takeArea(id: string) {
    const before = areas.find((a) => a.id === form.areaId)?.name ?? '';
    const area = areas.find((a) => a.id === id);
    form.areaId = id;
    if (form.sampleName.trim() === '' || form.sampleName === before) form.sampleName = area?.name ?? '';
    if (area) form.purpose = area.purpose;
  }
</script>

{#if samples.length > 0}
  <Choice
    label={t.set.sample}
    hideLabel
    bind:value={form.sampleMode}
    options={[
      { value: 'new', label: t.set.sampleNew },
      { value: 'old', label: t.set.sampleOld }
    ]}
  />
{/if}
{#if form.sampleMode === 'old'}
  <Field label={t.set.sampleChoose} error={error.sampleId}>
    {#snippet children(entry)}
      <select {...entry} class="select" bind:value={form.sampleId}>
        <option value="" disabled>{t.set.sampleChoose}</option>
        <PickOptions of={samples} />
      </select>
    {/snippet}
  </Field>
{:else}
  {#if areas.length > 0}
    <Field label={t.set.area} hint={t.set.areaHint}>
      {#snippet children(entry)}
        <select
          {...entry}
          class="select"
          value={form.areaId}
          onchange={(e) => takeArea(e.currentTarget.value)}
        >
          <option value="">{t.sample.fields.noArea}</option>
          {#each areas as area (area.id)}<option value={area.id}>{area.code} · {area.name}</option>{/each}
        </select>
      {/snippet}
    </Field>
  {/if}
  <Field label={t.set.sampleName} hint={t.set.codeHint} error={error.sampleName}>
    {#snippet children(entry)}
      <input
        {...entry}
        class="input"
        bind:value={form.sampleName}
        placeholder={t.set.sampleNameHint}
        maxlength="80"
      />
    {/snippet}
  </Field>
  <Choice
    label={t.set.samplePurpose}
    bind:value={form.purpose}
    options={PURPOSES.map((value) => ({ value, label: t.purpose[value] }))}
  />
{/if}
