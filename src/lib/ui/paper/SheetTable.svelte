<!-- @component A table of entries for paper and screen: on a phone each line stands by itself, and its fields name themselves. -->
<script lang="ts">
  import type { Snippet } from 'svelte';

  type Props = { heads: readonly string[]; children: Snippet };
  let { heads, children }: Props = $props();
</script>

<table class="plain max-w-[58rem]">
  <thead>
    <tr>
      {#each heads as head, i (i)}<th scope="col">{head}</th>{/each}
    </tr>
  </thead>
  <tbody>{@render children()}</tbody>
</table>

<style>
  tbody :global(th) {
    color: var(--ink);
    font-weight: 700;
    font-size: var(--text-base);
    vertical-align: baseline;
    border-bottom: var(--line) solid var(--hair);
  }
  /* On a desk the heads of the columns say it; on a phone there are none. */
  @media (min-width: 641px) {
    tbody :global(.field > label) {
      position: absolute;
      clip-path: inset(50%);
    }
  }
  @media print {
    tbody :global(.input)::placeholder {
      color: transparent;
    }
    tbody :global(td) {
      height: 13mm;
    }
  }
  @media (max-width: 640px) {
    thead,
    tbody :global(td:nth-child(2)) {
      display: none;
    }
    tbody :global(tr) {
      display: grid;
      grid-template-columns: 1fr 1fr;
      align-items: end;
      border-bottom: var(--line) solid var(--hair);
    }
    tbody :global(th) {
      grid-column: 1 / -1;
    }
    tbody :global(th),
    tbody :global(td) {
      border: 0;
    }
  }
</style>
