<!-- @component The dry soil as it is weighed, where the jar is filled: once, with what its scale reads to. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { formatWeight, outcomeOf, parseWeight } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import { offerUndo, record } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { weighedWords } from './amounts';

  let { jar }: { jar: JarRecord } = $props();

  /** What scales read to, g. */
  const SCALES = ['0.1', '1', '2', '5', '10'];
  let form = $state({ text: '', readsTo: '1' });
  let again = $state(false);
  const weighForm = commandForm({
    id: 'weigh',
    texts: () => form,
    read: ({ text, readsTo }) => {
      const { done: grams, problem } = outcomeOf(() => parseWeight(text));
      if (grams === undefined) return { errors: { grams: problem?.message } };
      return { errors: {}, payload: { testId: jar.id, weighed: { grams, readsToG: Number(readsTo) } } };
    },
    command: 'jar.weigh',
    names: { 'weighed.grams': 'grams' },
    keep: async (payload) => {
      const sent = await send('jar.weigh', payload);
      again = false;
      offerUndo(sent, t.weigh.kept(jar.code, formatWeight(payload.weighed.grams)));
    },
    clear: () => (form.text = ''),
    draft: { key: untrack(() => `weigh:${jar.id}`), take: (kept) => (form = { ...form, ...kept }) }
  });
  const takeBack = () => record('jar.weigh', { testId: jar.id, weighed: null }, t.weigh.takenBack(jar.code));

  /** Keeps what was typed and not kept yet; whether nothing is left here. */
  export async function keepTyped(): Promise<boolean> {
    return form.text.trim() === '' || weighForm.press();
  }
</script>

{#if jar.weighed && !again}
  <p class="no-print mb-3 flex flex-wrap gap-x-4 items-baseline">
    <span>{weighedWords(jar.weighed)}</span>
    <button type="button" class="link" onclick={() => (again = true)}>{t.weigh.change}</button>
    <button type="button" class="link" onclick={takeBack}>{t.weigh.takeBack}</button>
  </p>
{:else}
  <form use:weighForm.enhance method="POST" novalidate class="no-print mb-4">
    <p class="w-full small"><strong>{t.weigh.title}.</strong> <span class="faded">{t.weigh.why}</span></p>
    <Field label={t.weigh.soil} error={weighForm.errors.grams ?? weighForm.errors['']}>
      {#snippet children(entry)}
        <input {...entry} class="input" bind:value={form.text} inputmode="decimal" placeholder="g" />
      {/snippet}
    </Field>
    <Field label={t.weigh.scale}>
      {#snippet children(entry)}
        <select {...entry} class="select" bind:value={form.readsTo}>
          {#each SCALES as g (g)}<option value={g}>{g} g</option>{/each}
        </select>
      {/snippet}
    </Field>
    <button class="btn btn-secondary">{t.weigh.keep}</button>
  </form>
{/if}

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    gap: var(--spacing-3) var(--spacing-5);
    align-items: flex-start;
  }
  form > :global(.field) {
    width: 12rem;
  }
  form > :global(.field:nth-of-type(2)) {
    width: 9rem;
  }
  @media (min-width: 641px) {
    form > .btn {
      margin-top: var(--spacing-6);
    }
  }
</style>
