<!-- @component What a bed needs month by month, mm a week; a month that is left empty takes the usual need. -->
<script lang="ts">
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import Fold from '../kit/Fold.svelte';

  type Props = {
    /** Twelve needs as an address holds them; empty where none is given. */
    months: string;
    /** The usual need, mm a week. */
    usual: number;
    /** That of this month, where the months can be read. */
    now?: number;
  };
  let { months = $bindable(), usual, now }: Props = $props();

  const each = $derived(
    t.act.water.months.map((_, i) => (months === '' ? '' : (months.split(',')[i] ?? '')))
  );
  function set(i: number, text: string) {
    const next = each.map((month, j) => (j === i ? text.trim().replace(',', '.') : month));
    months = next.every((month) => month === '') ? '' : next.join(',');
  }
</script>

<Fold label={t.act.water.byMonth} class="no-print mt-3" open={months !== ''}>
  <div class="grid grid-cols-6 gap-x-3 gap-y-2 max-sm:grid-cols-4">
    {#each t.act.water.months as month, i (month)}
      <Field label={month}>
        {#snippet children(at)}<input
            {...at}
            class="input"
            inputmode="decimal"
            value={each[i]}
            placeholder={String(usual)}
            oninput={(e) => set(i, e.currentTarget.value)}
          />{/snippet}
      </Field>
    {/each}
  </div>
  {#if months !== '' && now === undefined}
    <p class="wrong small mt-2" role="alert">{t.act.water.monthWrong}</p>
  {:else if now !== undefined}
    <p class="faded small mt-2">{t.act.water.byMonthNow(String(now))}</p>
  {/if}
</Fold>
