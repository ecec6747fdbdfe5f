<!-- @component One of a few: the component library's segmented control in ink. -->
<script lang="ts" generics="T extends string">
  import { SegmentedControl } from '@skeletonlabs/skeleton-svelte';

  type Props = {
    /** What is chosen, said above; unseen with `hideLabel`. */
    label: string;
    /** Two to five choices, in words. */
    options: { value: T; label: string }[];
    /** The one that is chosen. */
    value: T;
    hideLabel?: boolean;
    /** Told of another choice by hand. */
    onchange?: (value: T) => void;
  };
  let { label, options, value = $bindable(), hideLabel = false, onchange }: Props = $props();

  function change(next: string | null) {
    if (next === null || next === value) return;
    value = next as T;
    onchange?.(value);
  }
</script>

<SegmentedControl {value} onValueChange={(e) => change(e.value)} class="choice">
  <SegmentedControl.Label class={hideLabel ? 'sr-only' : 'choice-label'}>{label}</SegmentedControl.Label>
  <SegmentedControl.Control class="choice-line">
    {#each options as option (option.value)}
      <SegmentedControl.Item value={option.value} class="choice-item">
        <SegmentedControl.ItemText>{option.label}</SegmentedControl.ItemText>
        <SegmentedControl.ItemHiddenInput />
      </SegmentedControl.Item>
    {/each}
  </SegmentedControl.Control>
</SegmentedControl>

<style>
  :global(.choice) {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: var(--spacing-1);
  }
  :global(.choice-label) {
    font-weight: 600;
    font-size: var(--text-base);
  }
  :global(.choice-line) {
    display: flex;
    flex-wrap: wrap;
    gap: 0;
    padding: 0;
    border: 0;
    background: transparent;
  }
  :global(.choice-item) {
    display: inline-flex;
    align-items: center;
    justify-content: center;
    min-height: 44px;
    padding: 0 var(--spacing-5);
    border-radius: 0;
    border-bottom: var(--line-strong) solid var(--rule);
    color: var(--faded);
    background: transparent;
    cursor: pointer;
  }
  :global(.choice-item [data-part='item-text']) {
    color: inherit !important;
  }
  :global(.choice-item:hover) {
    color: var(--ink);
  }
  :global(.choice-item[data-state='checked']) {
    color: var(--ink);
    font-weight: 700;
    background: var(--sheet);
    border-bottom: var(--line-heavy) solid var(--ink);
    padding-top: var(--spacing-1);
  }
  :global(.choice-item:has(input:focus-visible)) {
    outline: var(--line-heavy) solid var(--pen);
    outline-offset: 2px;
  }
</style>
