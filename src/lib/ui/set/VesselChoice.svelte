<!-- @component Which vessel a jar is set in: one of the list, or one's own, measured here. -->
<script lang="ts">
  import type { NamedVessel } from '$lib/core';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import Field from '../fields/Field.svelte';
  import OwnVessel from './OwnVessel.svelte';

  type Props = {
    vessels: NamedVessel[];
    /** The one that is chosen, and its id. */
    vessel?: NamedVessel;
    vesselId: string;
    error?: string;
    format: Format;
  };
  let { vessels, vessel, vesselId = $bindable(), error, format }: Props = $props();
  let own = $state(false);
</script>

<Field
  label={t.set.vessel}
  {error}
  hint={vessel &&
    t.set.vesselMeasures(
      format.length(vessel.innerHeightMm),
      format.length(vessel.innerDiameterMm),
      format.length(vessel.baseThicknessMm)
    )}
>
  {#snippet children(entry)}
    <select {...entry} class="select" bind:value={vesselId}>
      {#each vessels as v (v.id)}<option value={v.id}>{v.name}</option>{/each}
    </select>
  {/snippet}
</Field>
{#if own}
  <OwnVessel
    {format}
    onadded={(id) => {
      vesselId = id;
      own = false;
    }}
  />
{:else}
  <button type="button" class="link" onclick={() => (own = true)}>{t.set.vesselOwn}</button>
{/if}
