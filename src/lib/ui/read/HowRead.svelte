<!-- @component How lines are read: by a ruler on the drawn glass, or off a picture. -->
<script lang="ts">
  import { isShare, sharesRead, type JarResult } from '$lib/core';
  import type { PhotoRecord } from '$lib/contract/records/ground';
  import type { TestDetail } from '$lib/contract/records/result';
  import { say } from '$lib/browser/toasts';
  import { expectedLines, type JarView } from '$lib/workbench/jars';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import Choice from '../fields/Choice.svelte';
  import type { ReadingForm } from './form.svelte';
  import SedimentColumn from '../know/SedimentColumn.svelte';
  import GlassReader from './GlassReader.svelte';

  type Props = {
    test: TestDetail;
    view: JarView;
    form: ReadingForm;
    by: 'ruler' | 'picture';
    photos: PhotoRecord[];
    /** What a simulated camera shows; undefined where it is switched off. */
    bench?: string;
    format: Format;
    now: number;
  };
  let { test, view, form, by = $bindable(), photos, bench, format, now }: Props = $props();

  const expected = $derived(expectedLines(view, now));
  /** The shares that were given, as they would lie; of one share alone nothing is drawn. */
  const shares = $derived.by(() => {
    const read = form.figures && form.reading ? sharesRead(form.reading) : undefined;
    return read && !isShare(read as JarResult) && 'fractions' in read ? read.fractions : undefined;
  });
</script>

<Choice
  label={t.picture.by}
  hideLabel
  bind:value={by}
  options={(['ruler', 'picture'] as const).map((value) => ({ value, label: t.picture.bys[value] }))}
/>
{#if by === 'picture'}
  {#await import('$lib/ui/read/PhotoReader.svelte') then { default: PhotoReader }}
    <PhotoReader
      {form}
      vessel={test.vessel}
      waterMm={test.waterMm}
      testId={test.id}
      {photos}
      {bench}
      expected={view.run && view.run.stood === null ? expected : undefined}
      {format}
      ontaken={() => {
        by = 'ruler';
        say(t.picture.taken);
      }}
    />
  {/await}
{:else if form.figures}
  <!-- Shares have no heights: there is nothing to drag and no ruler to stand anywhere. -->
  {#if shares}
    <SedimentColumn fractions={shares} width={150} height={420} label={t.read.sharesDrawn} />
  {/if}
{:else}
  <GlassReader {form} vessel={test.vessel} waterMm={test.waterMm} {expected} />
  <Choice
    label={t.read.zero}
    value={form.texts.zero}
    onchange={(zero) => form.setZero(zero)}
    options={(['inside', 'table'] as const).map((value) => ({ value, label: t.read.zeros[value] }))}
  />
  <p class="faded small">
    {t.read.zeroNotes[form.texts.zero](format.length(test.vessel.baseThicknessMm, 1))}
  </p>
{/if}
