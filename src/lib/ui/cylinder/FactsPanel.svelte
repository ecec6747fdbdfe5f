<!-- @component What was weighed for a cylinder: soil, moisture, grains, hydrometer or pipette, and sand on meshes. -->
<script lang="ts">
  import DropButton from '../kit/DropButton.svelte';
  import { untrack } from 'svelte';
  import { BULBS, known } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { send } from '$lib/browser/outbox.svelte';
  import { offerUndo } from '$lib/browser/actions';
  import { t } from '$lib/words';
  import { formOf, readFacts, type FactsErrors, type FactsForm } from './form';

  /** Errors that the whole of the test has with a field, from the core. */
  let { jar, wrong }: { jar: JarRecord; wrong: FactsErrors } = $props();

  const kept = $derived(known(jar.cylinder, 'this panel stands on the page of a cylinder'));
  const fresh = () => formOf(kept.facts);
  let form = $state<FactsForm>(untrack(fresh));
  const changed = $derived(JSON.stringify(form) !== JSON.stringify(fresh()));
  /** What another window has kept comes in, unless something else is being typed here. */
  let seen = untrack(() => JSON.stringify(fresh()));
  $effect(() => {
    const now = JSON.stringify(fresh());
    if (now === seen) return;
    if (untrack(() => JSON.stringify(form)) === seen) form = fresh();
    seen = now;
  });
  const factsForm = commandForm({
    id: 'facts',
    texts: () => form,
    read: (texts) => {
      const { facts, errors } = readFacts(texts, kept.facts);
      return { errors, payload: facts && { testId: jar.id, facts, blankId: kept.blankId } };
    },
    keep: async (payload) => offerUndo(await send('cylinder.facts', payload), t.cylinder.saved),
    draft: {
      key: untrack(() => `cylinder:${jar.id}`),
      take: (held) => (form = { ...form, ...held })
    }
  });
  const error = $derived<FactsErrors>({ ...wrong, ...factsForm.errors });
</script>

{#snippet weight(
  label: string,
  field: string,
  key: 'airDry' | 'wet' | 'dry' | 'tin' | 'pipetteDose',
  unit: string
)}
  <Field {label} error={error[field] ?? error[`facts.${field}`]}>
    {#snippet children(entry)}
      <span class="with-unit"
        ><input {...entry} class="input" inputmode="decimal" bind:value={form[key]} />{unit}</span
      >
    {/snippet}
  </Field>
{/snippet}

<form class="grid gap-5 justify-items-start" use:factsForm.enhance method="POST" novalidate>
  <div class="row">
    {@render weight(t.cylinder.airDry, 'airDryG', 'airDry', 'g')}
    <label class="flex items-center gap-3 min-h-touch self-end"
      ><input class="checkbox" type="checkbox" bind:checked={form.oven} /> {t.cylinder.oven}</label
    >
  </div>
  {#if !form.oven}
    <fieldset class="row">
      <legend class="col-span-full">{t.cylinder.moistureOf}</legend>
      {@render weight(t.cylinder.wet, 'moisture.wetG', 'wet', 'g')}
      {@render weight(t.cylinder.dry, 'moisture.dryG', 'dry', 'g')}
      {@render weight(t.cylinder.tin, 'moisture.tinG', 'tin', 'g')}
    </fieldset>
  {/if}
  <div class="row">
    <Field
      label={t.cylinder.grains}
      hint={t.cylinder.grainsHint}
      error={error.particleDensity ?? error['facts.particleDensity']}
    >
      {#snippet children(entry)}
        <span class="with-unit"
          ><input {...entry} class="input" inputmode="decimal" bind:value={form.grains} />kg/m³</span
        >
      {/snippet}
    </Field>
    {#if kept.facts.pipette}
      <Field label={t.cylinder.pipetteMl} error={error['pipette.volumeMl']}>
        {#snippet children(entry)}
          <span class="with-unit"
            ><input {...entry} class="input" inputmode="decimal" bind:value={form.pipetteMl} />mL</span
          >
        {/snippet}
      </Field>
      <Field label={t.cylinder.pipetteDepth} error={error['pipette.depthMm']}>
        {#snippet children(entry)}
          <span class="with-unit"
            ><input {...entry} class="input" inputmode="decimal" bind:value={form.pipetteDepth} />mm</span
          >
        {/snippet}
      </Field>
      {@render weight(t.cylinder.pipetteDose, 'pipette.dispersantG', 'pipetteDose', 'g')}
    {:else}
      <Field label={t.cylinder.bulb}>
        {#snippet children(entry)}
          <select {...entry} class="select" bind:value={form.bulb}>
            {#each BULBS as bulb (bulb)}<option value={bulb}>{t.cylinder.bulbName[bulb]}</option>{/each}
          </select>
        {/snippet}
      </Field>
      <Field
        label={t.cylinder.meniscus}
        hint={t.cylinder.meniscusHint}
        error={error.meniscus ?? error['facts.meniscus']}
      >
        {#snippet children(entry)}
          <span class="with-unit"
            ><input {...entry} class="input" inputmode="decimal" bind:value={form.meniscus} />g/L</span
          >
        {/snippet}
      </Field>
    {/if}
  </div>
  <fieldset class="grid gap-2 justify-items-start">
    <legend>{t.cylinder.sieves}</legend>
    <p class="faded small">{t.cylinder.sievesHint}</p>
    {#each form.sieves as sieve, i (i)}
      <div class="sieve flex flex-wrap items-center gap-y-2 gap-x-5">
        <span class="with-unit"
          ><input
            class="input"
            inputmode="decimal"
            aria-label={t.cylinder.mesh(i + 1)}
            bind:value={sieve.mesh}
          />µm</span
        >
        <span class="with-unit"
          ><input
            class="input"
            inputmode="decimal"
            aria-label={t.cylinder.retained(i + 1)}
            bind:value={sieve.retained}
          />g</span
        >
        <DropButton
          label={t.cylinder.dropMesh(i + 1)}
          onclick={() => (form.sieves = form.sieves.filter((_, k) => k !== i))}
        />
        {#if error[`mesh.${i}`] ?? error[`retained.${i}`]}<p class="wrong small" role="alert">
            {error[`mesh.${i}`] ?? error[`retained.${i}`]}
          </p>{/if}
      </div>
    {/each}
    {#if error.sieves}<p class="wrong small" role="alert">{error.sieves}</p>{/if}
    <button
      type="button"
      class="link"
      onclick={() => (form.sieves = [...form.sieves, { mesh: '', retained: '' }])}
      >{t.cylinder.addMesh}</button
    >
  </fieldset>
  {#if factsForm.errors['']}<p class="wrong" role="alert">{factsForm.errors['']}</p>{/if}
  <button class={changed ? 'btn btn-primary' : 'btn btn-secondary'} disabled={!changed}
    >{t.cylinder.save}</button
  >
</form>

<style>
  legend {
    font: 620 var(--text-lg)/1.3 var(--face-head);
    padding: 0 0 var(--spacing-2);
  }
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(9.2rem, 1fr));
    gap: var(--spacing-3) var(--spacing-5);
    width: 100%;
    align-items: start;
  }
  .with-unit {
    display: flex;
    align-items: center;
    gap: var(--spacing-2);
    color: var(--faded);
  }
  .with-unit .input {
    width: 6.4rem;
    min-width: 0;
  }
  .sieve .link {
    min-width: 44px;
    min-height: 44px;
    text-decoration: none;
    font-size: var(--text-xl);
  }
</style>
