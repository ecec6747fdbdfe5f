<!--
  @component Jars of one person and method beside laboratory reports: by how much they differ, how far that mends what
  was not used to learn it, and whether this reading goes by it.
-->
<script lang="ts">
  import Fold from '../kit/Fold.svelte';
  import LaterTable from '../kit/LaterTable.svelte';
  import { calibrate } from '$lib/core';
  import type { LabPair } from '$lib/contract/records/sample';
  import { t } from '$lib/words';
  import type { ReadingForm } from './form.svelte';

  type Props = { form: ReadingForm; pairs: readonly LabPair[]; method: string };
  let { form, pairs, method }: Props = $props();

  const own = $derived(pairs.filter((p) => p.by === form.texts.by.trim()));
  const calibration = $derived(own.length < 2 ? undefined : calibrate(own));
  const points = (n: number) => n.toFixed(1);
  const times = (log: number) => Math.exp(log).toFixed(2);

  function use(on: boolean) {
    form.texts.calibration = on && calibration ? { ...calibration.calibration } : null;
  }
</script>

{#if pairs.length > 0 || form.texts.calibration}
  <Fold label={t.calibrate.title} class="mt-2">
    {#if !form.texts.pair}
      <label class="grid gap-1 max-w-[14rem]">
        {t.read.by}
        <input class="input" bind:value={form.texts.by} maxlength="40" />
      </label>
      <p class="faded small">{t.read.byHint}</p>
    {/if}
    {#if !calibration}
      <p class="small">{t.calibrate.few(own.length, method, form.texts.by.trim())}</p>
    {:else}
      <p class="small">{t.calibrate.from(own.map((p) => p.code).join(', '), method)}</p>
      {@const { before, after, leaveOneOut } = calibration}
      <LaterTable
        rows={[
          ['before', before],
          ['after', after],
          ['leftOut', leaveOneOut]
        ] as const}
        key={([row]) => row}
        class="small"
        columns={[
          {
            id: 'when',
            namesRow: true,
            class: 'pr-5',
            text: ([row]) => t.calibrate[row]
          },
          { id: 'points', num: true, text: ([, off]) => points(off) }
        ]}
      />
      <p class="small">
        {t.calibrate.shift(times(calibration.calibration.siltLog), times(calibration.calibration.clayLog))}
      </p>
      {#if !calibration.helps}<p class="small">{t.calibrate.noHelp}</p>{/if}
    {/if}
    {#if calibration?.helps || form.texts.calibration}
      <label class="flex items-center gap-3 min-h-touch">
        <input
          class="checkbox"
          type="checkbox"
          checked={form.texts.calibration !== null}
          onchange={(e) => use(e.currentTarget.checked)}
        />
        {t.calibrate.use}
      </label>
    {/if}
  </Fold>
{/if}

<style>
  p {
    margin-top: var(--spacing-2);
  }
</style>
