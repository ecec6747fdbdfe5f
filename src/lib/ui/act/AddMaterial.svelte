<!-- @component Another material for a blend: a finished test, or its sand and clay. -->
<script lang="ts">
  import { groundTyped, TYPED_SD } from '$lib/workbench/blend';
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import PickOptions from '../fields/PickOptions.svelte';
  import TextField from '../fields/TextField.svelte';
  import { readNumber } from '$lib/workbench/entry/figure';
  import Fold from '../kit/Fold.svelte';

  type Props = {
    tests: readonly { id: string; code: string; name: string }[];
    /** As many stand there as may. */
    full: boolean;
    /** Told which: the id of a test, or its percentages. */
    onadd: (of: string) => void;
  };
  let { tests, full, onadd }: Props = $props();

  let picked = $state('');
  let sand = $state('');
  let clay = $state('');
  let sd = $state('');
  let wrong = $state<string>();

  function add(event: SubmitEvent) {
    event.preventDefault();
    const [s, c] = [readNumber(sand), readNumber(clay)];
    const typed = sd.trim() === '' ? `${s}/${c}` : `${s}/${c}/${readNumber(sd)}`;
    const of = picked || (groundTyped(typed) && typed);
    wrong = full ? t.wall.blend.full : of ? undefined : t.wall.blend.choose;
    if (wrong || !of) return;
    onadd(of);
    picked = sand = clay = sd = '';
  }
</script>

<Fold label={t.wall.blend.add} class="no-print">
  <form class="flex flex-wrap items-end gap-x-5 gap-y-3 mt-2" onsubmit={add} novalidate>
    <Field label={t.wall.blend.which} error={wrong}>
      {#snippet children(at)}
        <select {...at} class="select min-w-[14rem]" bind:value={picked}>
          <option value="">{t.wall.blend.byNumbers}</option>
          <PickOptions of={tests} />
        </select>
      {/snippet}
    </Field>
    {#if picked === ''}
      <TextField label={t.wall.blend.sand} inputmode="decimal" bind:value={sand} class="w-[6rem]" />
      <TextField label={t.wall.blend.clay} inputmode="decimal" bind:value={clay} class="w-[6rem]" />
      <TextField
        label={t.wall.blend.giveOrTake}
        inputmode="decimal"
        placeholder={String(TYPED_SD)}
        bind:value={sd}
        class="w-[6rem]"
      />
    {/if}
    <button class="btn btn-secondary">{t.wall.blend.put}</button>
  </form>
</Fold>
