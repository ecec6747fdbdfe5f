<!-- @component Adding a vessel of one's own: five measures taken inside the glass. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import { readLength } from '../fields/read';
  import type { Format } from '../format';
  import { problemText } from '../state/actions';
  import { CommandRefused, send } from '../state/outbox.svelte';
  import { t } from '../strings';

  type Props = { format: Format; onadded: (id: string) => void };
  let { format, onadded }: Props = $props();

  type Measure =
    'innerHeightMm' | 'innerDiameterMm' | 'baseThicknessMm' | 'shoulderHeightMm' | 'mouthDiameterMm';
  let name = $state('');
  let kind = $state<'jar' | 'cylinder'>('jar');
  let texts = $state<Record<Measure, string>>({
    innerHeightMm: '',
    innerDiameterMm: '',
    baseThicknessMm: '',
    shoulderHeightMm: '',
    mouthDiameterMm: ''
  });
  let errors = $state<Record<string, string>>({});
  let problem = $state('');

  const jarFields: [Measure, string][] = [
    ['innerHeightMm', t.set.innerHeight],
    ['innerDiameterMm', t.set.innerDiameter],
    ['baseThicknessMm', t.set.baseThickness],
    ['shoulderHeightMm', t.set.shoulderHeight],
    ['mouthDiameterMm', t.set.mouthDiameter]
  ];
  const fields = $derived(kind === 'jar' ? jarFields : jarFields.slice(0, 3));
  const unit = untrack(() => format.profile.length);

  async function save() {
    errors = {};
    problem = '';
    const mm: Partial<Record<Measure, number>> = {};
    for (const [key] of fields) {
      const read = readLength(texts[key], unit);
      if (read.error) errors[key] = read.error;
      else mm[key] = read.value;
    }
    if (Object.keys(errors).length > 0) return;
    if (kind === 'cylinder') {
      mm.shoulderHeightMm = mm.innerHeightMm;
      mm.mouthDiameterMm = mm.innerDiameterMm;
    }
    const vesselId = ulid();
    try {
      await send('vessel.add', { vesselId, name, kind, ...(mm as Record<Measure, number>) });
      onadded(vesselId);
    } catch (refused) {
      if (refused instanceof CommandRefused) errors = refused.fields;
      problem = problemText(refused);
    }
  }
</script>

<div class="own">
  <Field label={t.set.vesselName} error={errors.name}>
    {#snippet children(entry)}<input {...entry} class="entry" bind:value={name} maxlength="60" />{/snippet}
  </Field>
  <Choice
    label={t.set.vesselKind}
    bind:value={kind}
    options={[
      { value: 'jar', label: t.set.vesselJar },
      { value: 'cylinder', label: t.set.vesselCylinder }
    ]}
  />
  <div class="measures">
    {#each fields as [key, label] (key)}
      <Field {label} error={errors[key]}>
        {#snippet children(entry)}
          <input {...entry} class="entry" bind:value={texts[key]} inputmode="decimal" placeholder={unit} />
        {/snippet}
      </Field>
    {/each}
  </div>
  {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
  <button type="button" class="may" onclick={save}>{t.set.vesselSave}</button>
</div>

<style>
  .own {
    display: grid;
    gap: 1rem;
    justify-items: start;
    padding: 1rem 0 1rem 1rem;
    border-left: 2px solid var(--rule);
  }
  .own > :global(.field) {
    width: 100%;
  }
  .measures {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
    gap: 0.9rem 1.2rem;
    width: 100%;
    align-items: end;
  }
</style>
