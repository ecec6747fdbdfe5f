<!-- @component What is read on demand: a line that opens and closes what stands under it. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import Minus from '@lucide/svelte/icons/minus';
  import Plus from '@lucide/svelte/icons/plus';
  import { Collapsible } from '@skeletonlabs/skeleton-svelte';

  type Props = {
    /** What is pressed. */
    label: string;
    /** Whether it is unfolded. */
    open?: boolean;
    /** It stands as a heading of its own, with a sign. */
    heading?: boolean;
    /** Classes of the whole. */
    class?: string;
    children: Snippet;
  };
  let { label, open = $bindable(false), heading = false, class: classes = '', children }: Props = $props();

  /** What nobody has opened is not drawn; what was opened keeps what was entered. */
  let opened = $state(false);
  $effect.pre(() => {
    if (open) opened = true;
  });
</script>

<Collapsible {open} onOpenChange={(e) => (open = e.open)} class="block {classes}">
  <Collapsible.Trigger
    class={heading
      ? 'flex items-center gap-2 w-full min-h-touch text-left font-semibold cursor-pointer'
      : 'link inline-block min-h-[32px] text-left print:hidden'}
  >
    {#if heading}
      {@const Sign = open ? Minus : Plus}
      <Sign size={16} strokeWidth={3} aria-hidden="true" />
    {/if}
    {label}
  </Collapsible.Trigger>
  <Collapsible.Content class={heading ? 'pb-4' : ''}
    >{#if open || opened}{@render children()}{/if}</Collapsible.Content
  >
</Collapsible>
