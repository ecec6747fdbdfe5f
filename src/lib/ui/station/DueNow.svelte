<!-- @component What is due next across all jars, and until when one is free. Stands on every station. -->
<script lang="ts">
  import { formatDuration, isAlarm } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { comesAfter, type JarView } from '$lib/workbench/jars';
  import type { HoleView } from '$lib/workbench/holes';
  import { byPress, calling } from '$lib/workbench/press';
  import type { TrialView } from '$lib/workbench/trials';
  import { aheadLine, dueLine } from '$lib/words/steps';
  import { t } from '$lib/words';

  type Props = {
    views: JarView[];
    holes: HoleView[];
    pieces: TrialView[];
    /** What is called now, if anything is. */
    called?: JarView;
    /** The jar that is to be dealt with first, called or not. */
    first?: JarView;
    now: number;
    format: Format;
  };
  let { views, holes, pieces, called, first, now, format }: Props = $props();

  /** A hole stands here where it calls and no jar does, or where nothing else is under way. */
  const dug = $derived(
    called ? undefined : (calling(holes) ?? (views.length === 0 ? byPress(holes)[0] : undefined))
  );
  /** Trial pieces likewise: after the holes, which wait for nobody. */
  const made = $derived(
    called || dug ? undefined : (calling(pieces) ?? (views.length === 0 ? pieces[0] : undefined))
  );
  const head = $derived(dug || made ? undefined : first);
  const alarm = $derived(
    dug || made ? (dug ?? made)?.step?.state === 'late' : head !== undefined && isAlarm(head.step)
  );
  const second = $derived.by(() => {
    if (dug) return dug.hole.areaName;
    if (made) return made.trial.sampleName;
    if (!head) return t.due.setJar;
    if (head.step.state === 'waiting' && head.step.dueAt - now > 600_000) {
      return t.due.freeFor(formatDuration((head.step.dueAt - now) / 1000));
    }
    const after = comesAfter(views, head, now);
    return after?.dueAt !== undefined ? t.due.thenFree(format.when(after.dueAt, now)) : t.due.nothingMore;
  });
</script>

<aside class="due" class:alarm aria-label={t.due.label}>
  {#if dug}
    <a href="/holes/{dug.hole.id}" class="what">{aheadLine(dug, format, now)}</a>
  {:else if made}
    <a href="/trials/{made.trial.id}" class="what">{aheadLine(made, format, now)}</a>
  {:else if head}
    <a
      href={head.step.no === undefined ? `/tests/${head.jar.id}` : `/read/${head.jar.id}/cylinder`}
      class="what">{dueLine(head.jar.code, head.step, format, now)}</a
    >
  {:else}
    <span class="what quiet">{t.due.nothing}</span>
  {/if}
  <span class="text-sm mt-1">{second}</span>
</aside>

<style>
  .due {
    display: flex;
    flex-direction: column;
    align-items: flex-end;
    text-align: right;
    color: var(--pen);
    line-height: 1.2;
    min-width: 0;
  }
  .what {
    font: 650 var(--text-2xl)/1.15 var(--face-head);
    color: inherit;
    text-decoration: none;
    font-variant-numeric: tabular-nums;
    text-wrap: balance;
  }
  .what:hover {
    text-decoration: underline;
    text-decoration-thickness: 2px;
    text-underline-offset: 4px;
  }
  .what.quiet {
    color: var(--ink);
    font-weight: 500;
  }
  .alarm {
    color: var(--alarm);
  }
  @media (max-width: 640px) {
    .what {
      font-size: var(--text-xl);
    }
  }
</style>
