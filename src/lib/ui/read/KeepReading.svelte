<!-- @component Keeping a reading and finishing a test by it; what is typed stays a draft until then. -->
<script lang="ts">
  import { known } from '$lib/core';
  import { onMount, untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto, replaceState } from '$app/navigation';
  import { page } from '$app/state';
  import type { TextureResult } from '$lib/core';
  import type { TestDetail } from '$lib/contract/records/result';
  import { offerUndo, problemText } from '$lib/browser/actions';
  import { CommandRefused, send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import MomentField from '../fields/MomentField.svelte';
  import { keepsDraft } from '../fields/kept.svelte';
  import type { ReadingForm } from './form.svelte';
  import type { ReadingTexts } from '$lib/workbench/entry/texts';

  type Props = {
    test: TestDetail;
    form: ReadingForm;
    texture: TextureResult | undefined;
    /** The result in a few words. */
    named: string;
    /** When it was read, where it is told afterwards: as typed, and as it was understood. */
    readWhen: string | undefined;
    earlier: { at?: number; error?: string };
    /** What is wrong with the whole that was measured, for its own field. */
    sumError: string | undefined;
  };
  let {
    test,
    form,
    texture,
    named,
    earlier,
    readWhen = $bindable(),
    sumError = $bindable()
  }: Props = $props();

  let keptAs = $state(untrack(() => test.readings.at(-1)?.id));
  let keptText = $state('');
  let problem = $state('');
  let busy = $state(false);
  /** Somebody tried to keep it: what is wrong with the time is said then. */
  let whenShown = $state(false);
  /** Not kept yet, changed since, or taken back. */
  const unsaved = $derived(
    !test.readings.some((r) => r.id === keptAs) || JSON.stringify(form.entry) !== keptText
  );

  onMount(() => (keptText = keptAs ? JSON.stringify(form.entry) : ''));
  const forget = keepsDraft<ReadingTexts>(
    // What was read of a run that ended says nothing of the next.
    untrack(() => `read:${test.run?.id ?? test.id}`),
    (kept) => form.takeDraft(kept),
    () => $state.snapshot(form.texts)
  );
  keepsDraft<{ when: string }>(
    untrack(() => `read-when:${test.run?.id ?? test.id}`),
    (kept) => (readWhen = kept.when || undefined),
    () => ({ when: readWhen ?? '' })
  );
  onMount(() => {
    const { measured } = page.state;
    if (measured) {
      // Heights that the film's page hands over: its own to be read in millimetres, where graduations were read before.
      if (form.texts.ruler === 'mL') form.setRuler('mm');
      form.takeLines(measured);
      // Taken once: a way back to this page must not undo what was changed since.
      replaceState('', {});
    }
  });

  async function whileBusy(what: () => Promise<void>) {
    busy = true;
    problem = '';
    sumError = undefined;
    try {
      await what();
    } catch (failed) {
      problem = problemText(failed);
      if (failed instanceof CommandRefused) sumError = failed.fields.measuredTotal;
    } finally {
      busy = false;
    }
  }

  const keep = () =>
    whileBusy(async () => {
      const entry = form.entry;
      if (!entry || form.problem) {
        problem = form.problem ?? '';
        return;
      }
      if (texture?.sum && !texture.sum.agrees && !entry.sumNote) {
        sumError = t.read.sumNoteNeeded;
        return;
      }
      if (earlier.error) {
        whenShown = true;
        return;
      }
      const readingId = ulid();
      const sent = await send('jar.read', { testId: test.id, readingId, entry }, earlier.at);
      keptAs = readingId;
      keptText = JSON.stringify(entry);
      forget();
      readWhen = undefined;
      offerUndo(sent, t.read.kept);
    });

  const finish = () =>
    whileBusy(async () => {
      const readingId = known(keptAs, 'a test is finished by a reading that was kept');
      const sent = await send('test.finish', { testId: test.id, readingId, resultId: ulid() });
      forget();
      offerUndo(sent, t.read.finished(test.code, named));
      await goto(`/tests/${test.id}`);
    });
</script>

<div class="row-of-actions at-foot keep">
  {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
  {#if unsaved && readWhen !== undefined}
    <div class="basis-full grid gap-1 justify-items-start">
      <Field label={t.read.when} error={whenShown ? earlier.error : undefined}>
        {#snippet children(at)}
          <MomentField entry={at} bind:value={() => readWhen ?? '', (next) => (readWhen = next)} />
        {/snippet}
      </Field>
      <button type="button" class="link" onclick={() => (readWhen = undefined)}>{t.earlier.now}</button>
    </div>
  {/if}
  {#if unsaved}
    <button
      type="button"
      class="btn btn-primary max-md:w-full max-md:min-h-[56px]"
      disabled={busy}
      onclick={keep}>{t.read.keep}</button
    >
    {#if readWhen === undefined}
      <button type="button" class="link" onclick={() => (readWhen = '')}>{t.read.earlier}</button>
    {/if}
  {:else}
    <button
      type="button"
      class="btn btn-primary max-md:w-full max-md:min-h-[56px]"
      disabled={busy}
      onclick={finish}>{t.read.finish}</button
    >
    <span class="faded">{t.read.kept}</span>
  {/if}
</div>

<style>
  .keep {
    margin-top: auto;
  }
  .keep p {
    flex-basis: 100%;
  }
</style>
