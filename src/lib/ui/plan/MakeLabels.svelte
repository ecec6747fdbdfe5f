<!-- @component Sheets of labels: a link where they are there at once; where there are many, how far they are, and a stop. -->
<script lang="ts">
  import { makeSheets } from '$lib/browser/make-sheets';
  import { t } from '$lib/words';

  type Props = {
    /** Where the PDF is. */
    href: string;
    labels: number;
    pages: number;
  };
  let { href, labels, pages }: Props = $props();

  /** More than these take over a second. */
  const AT_ONCE = 240;
  let share = $state<number>();
  let made = $state<{ of: string; url: string }>();
  let problem = $state<string>();
  let stop = () => {};
  const ready = $derived(made?.of === href ? made.url : undefined);

  async function make() {
    const of = href;
    const stopping = new AbortController();
    stop = () => stopping.abort();
    problem = undefined;
    share = 0;
    try {
      const url = await makeSheets(of, (now) => (share = now), stopping.signal);
      if (made) URL.revokeObjectURL(made.url);
      made = { of, url };
    } catch (failed) {
      if (!stopping.signal.aborted) problem = failed instanceof Error ? failed.message : t.outbox.failed;
    } finally {
      share = undefined;
    }
  }
</script>

{#if labels <= AT_ONCE}
  <a class="btn btn-primary" {href} target="_blank" rel="noopener">{t.labels.make(labels, pages)}</a>
{:else if share !== undefined}
  <div class="grid gap-3 w-full">
    <progress class="w-full" value={share} max="1" aria-label={t.labels.making(pages)}></progress>
    <p aria-live="polite">{t.labels.making(pages)}</p>
    <button type="button" class="btn btn-secondary justify-self-start" onclick={() => stop()}
      >{t.labels.stop}</button
    >
  </div>
{:else if ready}
  <a class="btn btn-primary" href={ready} target="_blank" rel="noopener">{t.labels.open(labels, pages)}</a>
{:else}
  <button type="button" class="btn btn-primary" onclick={make}>{t.labels.make(labels, pages)}</button>
{/if}
{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}

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
