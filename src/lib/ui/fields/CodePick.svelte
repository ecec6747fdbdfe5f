<!-- @component A test chosen by its code: typed, or picked from those that begin with what is typed. -->
<script lang="ts">
  import { Combobox, Portal, useListCollection } from '@skeletonlabs/skeleton-svelte';
  import type { KnowPoint } from '$lib/contract/records/log';
  import Field from './Field.svelte';

  type Props = {
    /** Named as `Field` names its entry. */
    label: string;
    hint: string;
    error?: string;
    /** What is typed. */
    code: string;
    /** Tests to choose from, oldest first. */
    points: readonly KnowPoint[];
    /** Told when a code has been typed to its end or picked. */
    onchoose: (code: string) => void;
  };
  let { label, hint, error, code = $bindable(), points, onchoose }: Props = $props();

  /** More than these nobody looks through. */
  const MOST = 40;
  const matching = $derived(
    points.filter((p) => p.code.toLowerCase().startsWith(code.trim().toLowerCase())).slice(-MOST)
  );
  const collection = $derived(
    useListCollection({
      items: matching,
      itemToString: (p: KnowPoint) => p.code,
      itemToValue: (p: KnowPoint) => p.id
    })
  );
  function typed(to: string) {
    code = to;
    onchoose(to);
  }
  const picked = (id: string | undefined) => {
    const point = points.find((p) => p.id === id);
    if (point) typed(point.code);
  };
</script>

<Field {label} {hint} {error}>
  {#snippet children({ id, ...said })}
    <Combobox
      {collection}
      ids={{ input: id }}
      inputValue={code}
      value={[]}
      allowCustomValue
      selectionBehavior="preserve"
      onInputValueChange={(e) => e.reason === 'input-change' && (code = e.inputValue)}
      onValueChange={(e) => picked(e.value[0])}
    >
      <Combobox.Control>
        <Combobox.Input class="input" {...said} onchange={(e) => typed(e.currentTarget.value)} />
      </Combobox.Control>
      <Portal>
        <Combobox.Positioner class="z-20!">
          <Combobox.Content class="sheet p-2 max-h-[18rem] overflow-y-auto">
            {#each matching as point (point.id)}
              <Combobox.Item item={point} class="flex items-center gap-4 min-h-touch px-3">
                <b>{point.code}</b>
                <span class="faded">{point.sampleName}</span>
              </Combobox.Item>
            {/each}
          </Combobox.Content>
        </Combobox.Positioner>
      </Portal>
    </Combobox>
  {/snippet}
</Field>
