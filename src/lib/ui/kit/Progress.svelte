<!-- @component How far something long is, what it is, and a stop. -->
<script lang="ts">
  type Props = {
    /** 0 to 1. */
    share: number;
    /** What is under way. */
    label: string;
    /** What the button says that stops it, and what it does. */
    stopLabel: string;
    onstop: () => void;
  };
  let { share, label, stopLabel, onstop }: Props = $props();
</script>

<div class="grid gap-3 w-full">
  <progress class="w-full" value={share} max="1" aria-label={label}></progress>
  <p aria-live="polite">{label}</p>
  <button type="button" class="btn btn-secondary justify-self-start" onclick={onstop}>{stopLabel}</button>
</div>

<style>
  progress {
    appearance: none;
    height: 16px;
    border: var(--line) solid var(--ink);
    background: var(--sheet);
  }
  progress::-webkit-progress-bar {
    background: var(--sheet);
  }
  progress::-webkit-progress-value {
    background: var(--ink);
  }
  progress::-moz-progress-bar {
    background: var(--ink);
  }
</style>
