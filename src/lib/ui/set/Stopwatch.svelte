<!-- @component Something that is to last long enough, timed: shaking, or the night a soil soaks. -->
<script lang="ts">
  import { formatCountdown, formatDuration } from '$lib/core';
  import { clock, correctedNow } from '$lib/browser/clock.svelte';
  import { t } from '$lib/words';

  type Props = {
    title: string;
    /** When it began, ms UTC; null before. */
    startedAt: number | null;
    /** How long at least, s. */
    fromS: number;
    start: string;
    target: (from: string) => string;
    enough: string;
    onchange: (startedAt: number | null) => void;
  };
  let { title, startedAt, fromS, start, target, enough, onchange }: Props = $props();

  const goneS = $derived(startedAt === null ? 0 : Math.max(0, (clock.now - startedAt) / 1000));
</script>

<section aria-label={title}>
  <h2>{title}</h2>
  <p
    class="clock font-head text-4xl font-bold leading-[1.05] tabular-nums"
    class:long={goneS >= 3600}
    role="timer"
  >
    {formatCountdown(Math.floor(goneS))}
  </p>
  <p class="faded small">{goneS >= fromS ? enough : target(formatDuration(fromS))}</p>
  {#if startedAt === null}
    <button type="button" class="btn btn-secondary mt-3" onclick={() => onchange(correctedNow())}
      >{start}</button
    >
  {:else}
    <button type="button" class="btn btn-secondary mt-3" onclick={() => onchange(null)}
      >{t.prepare.shakeStop}</button
    >
  {/if}
</section>

<style>
  .clock.long {
    font-size: var(--text-4xl);
  }
</style>
