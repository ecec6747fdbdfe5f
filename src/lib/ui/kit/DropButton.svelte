<!-- @component Takes one of several things away again: a cross with room for a thumb, and words for who cannot see it. -->
<script lang="ts">
  import X from '@lucide/svelte/icons/x';

  type Props = {
    /** What is taken away, such as `Take K1 out`. */
    label: string;
    /** Takes the thing off. */
    onclick: () => void;
  };
  let { label, onclick }: Props = $props();
</script>

<button type="button" class="no-print" aria-label={label} title={label} {onclick}>
  <X size="1.1em" strokeWidth={2.2} aria-hidden="true" />
</button>

<style>
  button {
    display: inline-grid;
    place-items: center;
    width: 44px;
    height: 40px;
    border: 0;
    background: none;
    color: var(--faded);
    font-size: var(--text-lg);
    cursor: pointer;
  }
  button:hover {
    color: var(--alarm);
  }
</style>
