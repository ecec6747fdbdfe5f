<!-- @component Whether a laboratory's report is worth its fee for this decision. -->
<script lang="ts">
  import { LAB_REASONS, laboratoryWorth, type LabReason } from '$lib/core';
  import { t } from '$lib/words';
  import Fold from '../kit/Fold.svelte';

  let { chance }: { chance: number } = $props();
  let reasons = $state<LabReason[]>([]);
  let differs = $state(true);
  const said = $derived(laboratoryWorth({ chance, differs, reasons }));
</script>

<Fold label={t.act.lab.title} heading>
  <p class="font-semibold" data-testid="act-lab">{t.act.lab.why[said.why]}</p>
  <div class="no-print grid gap-1 mt-2">
    {#each LAB_REASONS as reason (reason)}
      <label class="flex items-center gap-2 min-h-touch"
        ><input class="checkbox" type="checkbox" value={reason} bind:group={reasons} />
        {t.act.lab.reasons[reason]}</label
      >
    {/each}
    <label class="flex items-center gap-2 min-h-touch"
      ><input class="checkbox" type="checkbox" bind:checked={differs} /> {t.act.lab.differs}</label
    >
  </div>
</Fold>
