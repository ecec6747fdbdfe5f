<!-- @component A reading of the top of the sediment while it comes to rest, and how the water looked. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import type { Clarity } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { RunRecord } from '$lib/contract/records/run';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { readLength } from '$lib/workbench/entry/figure';
  import WaterNote from '../read/WaterNote.svelte';

  let { jar, run, format }: { jar: JarRecord; run: RunRecord; format: Format } = $props();

  let form = $state({ text: '', water: '' as '' | Clarity });
  const topForm = commandForm({
    id: 'top',
    texts: () => form,
    read: ({ text, water }) => {
      const height = readLength(text, format.profile.length);
      if (height.value === undefined) return { errors: { height: height.error } };
      return {
        errors: {},
        payload: {
          testId: jar.id,
          runId: run.id,
          topId: ulid(),
          height: { mm: height.value, text: text.trim() },
          water: water === '' || water === 'unseen' ? null : water
        }
      };
    },
    keep: async (payload) => {
      const sent = await send('jar.top', payload);
      offerUndo(sent, t.settled.kept(jar.code, format.length(payload.height.mm, 1)));
    },
    clear: () => (form = { text: '', water: '' }),
    draft: {
      key: untrack(() => `top:${run.id}`),
      take: (kept) => (form = { ...form, ...kept }),
      measured: { lengths: ['text'] }
    }
  });
</script>

<form use:topForm.enhance method="POST" novalidate class="no-print">
  <Field label={t.settled.top} error={topForm.errors.height ?? topForm.errors['']}>
    {#snippet children(entry)}
      <input {...entry} class="input" bind:value={form.text} placeholder={format.profile.length} />
    {/snippet}
  </Field>
  <WaterNote bind:value={form.water} />
  <button class="btn btn-secondary">{t.settled.keep}</button>
</form>

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    gap: var(--spacing-3) var(--spacing-6);
    align-items: flex-end;
    margin: var(--spacing-4) 0;
  }
  form > :global(.field) {
    width: 12rem;
  }
</style>
