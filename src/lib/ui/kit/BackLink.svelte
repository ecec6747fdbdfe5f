<!-- @component The way back to what a page belongs to: a link, or a button where nothing is loaded. -->
<script lang="ts">
  import ArrowLeft from '@lucide/svelte/icons/arrow-left';

  type Props = {
    /** Where it leads, such as `The sketch`. */
    label: string;
    /** Where it leads; or what a press does, where that is no address. */
    href?: string;
    onclick?: () => void;
  };
  let { label, href, onclick }: Props = $props();
</script>

{#snippet inside()}<ArrowLeft size="1em" aria-hidden="true" /> {label}{/snippet}

{#if href}
  <a class="link inline-flex items-center gap-1" {href}>{@render inside()}</a>
{:else}
  <button type="button" class="link inline-flex items-center gap-1" {onclick}>{@render inside()}</button>
{/if}
