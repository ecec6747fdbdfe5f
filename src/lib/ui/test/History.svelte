<!-- @component Everything that happened to a test, newest first. -->
<script lang="ts">
  import { formatDuration, formatTapeTime, formatWeight } from '$lib/core';
  import { DISPERSANTS, type Used } from '$lib/contract/records/jar';
  import type { EventRecord } from '$lib/contract/records/result';
  import type { Format } from '$lib/words/format';
  import { classChance, headline, shareShort } from '$lib/words/headline';
  import { t } from '$lib/words';
  import { usedWords } from '$lib/workbench/used';

  type Props = { events: EventRecord[]; format: Format };
  let { events, format }: Props = $props();

  /** Events from before the shares were kept in them have the class and its chance alone. */
  function finishedAs(d: EventRecord['detail']): string {
    const chance = d.probability === null ? null : Number(d.probability) / 100;
    const { sand, silt, clay } = d;
    if (sand === undefined) return classChance(String(d.class), chance);
    const said = headline(String(d.class), { sand: Number(sand), silt: Number(silt), clay: Number(clay) });
    return d.doubtful ? `${said}, ${t.log.doubtful}` : said;
  }
  const usedIn = ({ kind, dispersant, soil, soaked, shaken }: EventRecord['detail']): Used => {
    const known = DISPERSANTS.find((one) => one === kind);
    const said = (text: unknown) => (text ? String(text) : undefined);
    return {
      ...(known ? { dispersant: { kind: known, text: String(dispersant ?? '') } } : {}),
      soil: said(soil),
      soaked: said(soaked),
      shaken: said(shaken)
    };
  };
  function words(e: EventRecord): string {
    const said = wordsOf(e);
    return e.detail.after === 'finished' ? [said, t.test.afterFinish].filter(Boolean).join(', ') : said;
  }
  const layerOf = (d: EventRecord['detail']) => t.layer[d.layer as 'sand'] ?? '';
  function wordsOf(e: EventRecord): string {
    const d = e.detail;
    // A press that came in after the end has no figures: only that it was made, and of what.
    if (d.after === 'finished') return layerOf(d);
    switch (e.what) {
      case 'jar.prepare':
        return String(d.method ?? '');
      case 'jar.prep':
        return `${d.ticks}`;
      case 'jar.set-down':
        return t.jar.run(Number(d.run));
      case 'jar.mark':
        return `${t.layer[d.layer as 'sand']}, ${formatTapeTime(Number(d.seconds))}${d.counted ? `, ${t.jar.countedOnce}` : ''}`;
      case 'mark.correct': {
        const was = [
          d.wasLayer && t.layer[d.wasLayer as 'sand'],
          d.wasSeconds !== undefined && formatTapeTime(Number(d.wasSeconds))
        ].filter(Boolean);
        return t.test.corrected(`${layerOf(d)}, ${formatTapeTime(Number(d.seconds))}`, was.join(', '));
      }
      case 'gauge.time':
        return t.test.corrected(
          `${t.cylinder.valueOf(Number(d.no))}, ${formatTapeTime(Number(d.seconds))}`,
          formatTapeTime(Number(d.wasSeconds))
        );
      case 'mark.remove':
        return `${layerOf(d)}, ${formatTapeTime(Number(d.seconds))}`;
      case 'mark.pass':
        return d.passed === null ? t.test.unpassed(layerOf(d)) : layerOf(d);
      case 'run.zero':
        return t.test.zeroed(formatDuration(Number(d.byS)), Number(d.byS) < 0, String(d.why));
      case 'top.remove':
        return format.length(Number(d.heightMm), 1);
      case 'mark.height':
        return `${t.layer[d.layer as 'sand']}, ${d.heightMm === null ? '–' : format.length(Number(d.heightMm), 1)}`;
      case 'jar.top':
        return format.length(Number(d.heightMm), 1);
      case 'film.remove':
        return t.film.pictures(Number(d.pictures));
      case 'jar.method':
        return String(d.method ?? '');
      case 'jar.weigh':
        return d.grams === null ? t.weigh.none : formatWeight(Number(d.grams));
      case 'jar.used':
        return usedWords(usedIn(d)).join(', ') || t.used.asAdvised;
      case 'jar.note':
        return [t.jarNote[d.note as 'moved'], d.words].filter(Boolean).join(': ');
      case 'jar.shake-again':
        return `${t.jar.run(Number(d.run))} ${t.jar.ended(t.endReason[d.reason as 'knocked'])}`;
      case 'test.finish':
        if (d.class !== undefined) return finishedAs(d);
        return shareShort({
          layer: d.sand === undefined ? 'clay' : 'sand',
          pct: Number(d.sand ?? d.clay),
          ...(d.over ? { orMore: true } : {})
        });
      case 'import.add':
        return t.test.tookIn(String(d.name), Number(d.count));
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
      <time class="text-faded text-sm max-sm:col-span-full" datetime={new Date(e.at).toISOString()}
        >{format.full(e.at)}</time
      >
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
    gap: 0 var(--spacing-5);
    padding: var(--spacing-2) 0;
    border-bottom: var(--line) solid var(--hair);
    align-items: baseline;
  }
  .undone strong {
    text-decoration: line-through;
  }
  @media (max-width: 640px) {
    li {
      grid-template-columns: 1fr auto;
    }
  }
</style>
