<!-- @component Another soil beside the one that is watered: which, and what its plan comes to for the same bed. -->
<script lang="ts">
  import type { WateringPlan } from '$lib/core';
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import PickOptions from '../fields/PickOptions.svelte';

  type Props = {
    beside: { id: string; code: string } | null;
    /** What the bed would want of that soil. */
    plan?: WateringPlan;
    tests: readonly { id: string; code: string; name: string }[];
    onchoose: (id: string) => void;
  };
  let { beside, plan, tests, onchoose }: Props = $props();
</script>

<div class="mt-4 max-w-[22rem]">
  <div class="no-print">
    <Field label={t.act.water.beside}>
      {#snippet children(at)}
        <select
          {...at}
          class="select"
          value={beside?.id ?? ''}
          onchange={(e) => onchoose(e.currentTarget.value)}
        >
          <option value="">{t.act.water.besideNone}</option>
          <PickOptions of={tests} />
        </select>
      {/snippet}
    </Field>
  </div>
  {#if beside && plan}
    <p class="font-head text-lg font-bold mt-2" data-testid="act-beside">
      {t.act.water.besideDose(beside.code, plan.doseMm.toFixed(0), plan.intervalDays.toFixed(1))}
    </p>
    <p>
      {t.act.water.besideTakes(
        plan.storeMm.toFixed(0),
        plan.maxRateMmH.toFixed(plan.maxRateMmH < 10 ? 1 : 0)
      )}
    </p>
  {/if}
</div>
