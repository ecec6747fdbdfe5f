<!-- @component How long a ribbon of the soil grew before it broke: kept with the sample, and the verdict goes by it too. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { checkRibbon, outcomeOf } from '$lib/core';
  import type { TypedLength } from '$lib/contract/records/sample';
  import { record } from '$lib/browser/actions';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import Field from '../fields/Field.svelte';
  import { readLength } from '$lib/workbench/entry/figure';

  type Props = { sampleId: string; ribbon: TypedLength | undefined; format: Format };
  let { sampleId, ribbon, format }: Props = $props();

  let text = $state(untrack(() => ribbon?.text ?? ''));
  // Another sample has a ribbon of its own.
  $effect(() => {
    void sampleId;
    text = untrack(() => ribbon?.text ?? '');
  });
  let error = $state<string>();

  async function keep() {
    const typed = text.trim();
    const read = readLength(typed, format.profile.length);
    const mm = read.value;
    error =
      typed === '' || mm === undefined
        ? typed === ''
          ? undefined
          : read.error
        : outcomeOf(() => checkRibbon(mm)).problem?.message;
    if (error || typed === (ribbon?.text ?? '')) return;
    await record(
      'sample.hand',
      { sampleId, ribbon: typed === '' || mm === undefined ? null : { mm, text: typed } },
      t.act.hand.kept
    );
  }
</script>

<div class="no-print max-w-[18rem]" id="ribbon">
  <Field label={t.act.ribbon.label} hint={t.act.ribbon.hint} {error}>
    {#snippet children(at)}<input
        {...at}
        class="input w-[8rem]"
        bind:value={text}
        onchange={keep}
      />{/snippet}
  </Field>
</div>
