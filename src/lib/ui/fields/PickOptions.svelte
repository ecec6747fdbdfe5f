<!-- @component Tests or samples to choose from, and where the older ones are where there are more than a list holds. -->
<script lang="ts">
  import { PICKED_MOST } from '$lib/workbench/find';
  import { t } from '$lib/words';

  type Props = { of: readonly { id: string; code: string; name: string }[] };
  let { of }: Props = $props();
</script>

{#each of as one (one.id)}<option value={one.id}>{one.code} · {one.name}</option>{/each}
{#if of.length >= PICKED_MOST}<option disabled>{t.common.olderInLog}</option>{/if}
