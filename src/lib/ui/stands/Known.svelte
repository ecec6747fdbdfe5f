<!-- @component What else is known of a jar that stands already: how long about, its vessel, its soil. Nothing of it is needed for a first answer. -->
<script lang="ts">
  import type { NamedVessel } from '$lib/core';
  import { STOOD } from '$lib/contract/records/run';
  import type { SampleRecord } from '$lib/contract/records/sample';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import PickOptions from '../fields/PickOptions.svelte';
  import { t } from '$lib/words';
  import type { KnownTexts } from './standing.svelte';

  type Props = {
    known: KnownTexts;
    vessels: NamedVessel[];
    samples: SampleRecord[];
    errors: Record<string, string | undefined>;
  };
  let { known = $bindable(), vessels, samples, errors }: Props = $props();
</script>

<div class="grid gap-4">
  <Choice
    label={t.stands.howLong}
    bind:value={known.stood}
    options={STOOD.map((value) => ({ value, label: t.stands.stood[value] }))}
  />
  <Field label={t.stands.vessel} error={errors.vesselId}>
    {#snippet children(entry)}
      <select {...entry} class="select" bind:value={known.vesselId}>
        <option value="">{t.stands.vesselUnknown}</option>
        {#each vessels as vessel (vessel.id)}<option value={vessel.id}>{vessel.name}</option>{/each}
      </select>
    {/snippet}
  </Field>
  {#if samples.length > 0}
    <Field label={t.stands.soil} error={errors.sampleId}>
      {#snippet children(entry)}
        <select {...entry} class="select" bind:value={known.sampleId}>
          <option value="">{t.set.sampleNew}</option>
          <PickOptions of={samples} />
        </select>
      {/snippet}
    </Field>
  {/if}
  {#if known.sampleId === ''}
    <Field label={t.set.sampleName} hint={t.stands.nameLater} error={errors.sampleName}>
      {#snippet children(entry)}
        <input {...entry} class="input" bind:value={known.sampleName} maxlength="80" />
      {/snippet}
    </Field>
  {/if}
</div>
