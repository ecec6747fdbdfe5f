<!-- @component Coming nearer to a sheet and going further off, in its corner. -->
<script lang="ts">
  import Minus from '@lucide/svelte/icons/minus';
  import Plus from '@lucide/svelte/icons/plus';
  import { t } from '$lib/words';

  type Props = {
    /** Whether the whole sheet is in sight. */
    whole: boolean;
    onzoom: (by: number) => void;
  };
  let { whole, onzoom }: Props = $props();
</script>

<div class="zoom no-print">
  <button type="button" aria-label={t.ground.larger} onclick={() => onzoom(1.5)}
    ><Plus aria-hidden="true" /></button
  >
  <button type="button" aria-label={t.ground.smaller} disabled={whole} onclick={() => onzoom(1 / 1.5)}
    ><Minus aria-hidden="true" /></button
  >
</div>

<style>
  .zoom {
    position: absolute;
    right: 8px;
    bottom: 8px;
    display: flex;
    border: var(--line) solid var(--rule);
    background: var(--sheet);
  }
  .zoom button {
    display: grid;
    place-items: center;
    width: 44px;
    height: 44px;
    border: 0;
    background: none;
    color: var(--ink);
    cursor: pointer;
  }
  .zoom button:disabled {
    color: var(--hair);
    cursor: default;
  }
</style>
