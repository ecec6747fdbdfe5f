<!-- @component Everything that happened to a test, newest first. -->
<script lang="ts">
  import { formatTapeTime } from '$lib/core';
  import type { EventRecord } from '$lib/contract/records';
  import type { Format } from '../format';
  import { t } from '../strings';

  type Props = { events: EventRecord[]; format: Format };
  let { events, format }: Props = $props();

  function words(e: EventRecord): string {
    const d = e.detail;
    switch (e.what) {
      case 'jar.prepare':
        return String(d.method ?? '');
      case 'jar.prep':
        return `${d.ticks}`;
      case 'jar.set-down':
        return t.jar.run(Number(d.run));
      case 'jar.mark':
        return `${t.layer[d.layer as 'sand']}, ${formatTapeTime(Number(d.seconds))}${d.counted ? `, ${t.jar.countedOnce}` : ''}`;
      case 'mark.height':
        return `${t.layer[d.layer as 'sand']}, ${d.heightMm === null ? '–' : format.length(Number(d.heightMm), 1)}`;
      case 'jar.top':
        return format.length(Number(d.heightMm), 1);
      case 'film.remove':
        return t.film.pictures(Number(d.pictures));
      case 'jar.method':
        return String(d.method ?? '');
      case 'jar.note':
        return [t.jarNote[d.note as 'moved'], d.words].filter(Boolean).join(': ');
      case 'jar.shake-again':
        return `${t.jar.run(Number(d.run))} ${t.jar.ended(t.endReason[d.reason as 'knocked'])}`;
      case 'test.finish':
        if (d.class !== undefined) return `${d.class}, ${d.probability} %`;
        return d.sand === undefined ? `${t.layer.clay} ${d.clay} %` : `${t.layer.sand} ${d.sand} %`;
      case 'test.reopen':
        return String(d.why ?? '');
      case 'undo':
        return t.test.events[String(d.what)] ?? '';
      default:
        return '';
    }
  }
  /** Single ticks of the checklist are noise once the jar stands, as is every picture of a film. */
  const shown = $derived(events.filter((e) => e.what !== 'jar.prep' && e.what !== 'film.frames'));
</script>

<ol class="plain-list">
  {#each shown as e (e.id)}
    <li class:undone={e.undoneAt !== null}>
      <time datetime={new Date(e.at).toISOString()}>{format.full(e.at)}</time>
      <span>
        <strong>{t.test.events[e.what] ?? e.what}</strong>
        {words(e)}
        {#if e.undoneAt !== null}<em class="faded">{t.test.undoneMark}</em>{/if}
      </span>
      <span class="faded small">{e.who}</span>
    </li>
  {/each}
</ol>

<style>
  li {
    display: grid;
    grid-template-columns: 12.5rem 1fr auto;
    gap: 0 1rem;
    padding: 0.35rem 0;
    border-bottom: 1px solid var(--hair);
    align-items: baseline;
  }
  time {
    color: var(--faded);
    font-size: 0.92rem;
  }
  .undone strong {
    text-decoration: line-through;
  }
  @media (max-width: 640px) {
    li {
      grid-template-columns: 1fr auto;
    }
    time {
      grid-column: 1 / -1;
    }
  }
</style>
