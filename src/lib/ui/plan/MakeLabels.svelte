<!-- @component Sheets of labels: a link where they are there at once; where there are many, how far they are, and a stop. -->
<script lang="ts">
  import { makeSheets } from '$lib/browser/make-sheets';
  import { t } from '$lib/words';
  import Progress from '../kit/Progress.svelte';

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
  <Progress {share} label={t.labels.making(pages)} stopLabel={t.labels.stop} onstop={() => stop()} />
{:else if ready}
  <a class="btn btn-primary" href={ready} target="_blank" rel="noopener">{t.labels.open(labels, pages)}</a>
{:else}
  <button type="button" class="btn btn-primary" onclick={make}>{t.labels.make(labels, pages)}</button>
{/if}
{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
