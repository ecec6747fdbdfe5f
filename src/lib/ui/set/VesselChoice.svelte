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
    /** Whether one's own is being described here, and is not kept yet; whether it is on its way. */
    describing: boolean;
    sending: boolean;
    format: Format;
  };
  let {
    vessels,
    vessel,
    vesselId = $bindable(),
    error,
    describing = $bindable(),
    sending = $bindable(),
    format
  }: Props = $props();
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
{#if describing}
  <OwnVessel
    {format}
    bind:sending
    onadded={(id) => {
      vesselId = id;
      describing = false;
    }}
    onleave={() => (describing = false)}
  />
{:else}
  <button type="button" class="link" onclick={() => (describing = true)}>{t.set.vesselOwn}</button>
{/if}
