<!-- @component What was used on a jar, and how long, where it was not as its method advises: in the measure of whoever did it. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { DISPERSANTS, type JarRecord, type Used } from '$lib/contract/records/jar';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { usedProblems } from '$lib/contract/used';
  import { t } from '$lib/words';
  import { usedWords } from '$lib/workbench/used';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import TextField from '../fields/TextField.svelte';

  let { jar }: { jar: JarRecord } = $props();
  const w = t.used;
  const textsOf = ({ dispersant, soil = '', soaked = '', shaken = '' }: Used) => ({
    kind: dispersant?.kind ?? ('' as const),
    amount: dispersant?.text ?? '',
    soil,
    soaked,
    shaken
  });
  let form = $state<Omit<ReturnType<typeof textsOf>, 'kind'> & { kind: (typeof DISPERSANTS)[number] | '' }>(
    untrack(() => textsOf(jar.used))
  );
  let open = $state(false);
  const told = $derived(usedWords(jar.used));

  function usedIn({ kind, amount, ...texts }: typeof form): Used {
    const said = (text: string) => text.trim() || undefined;
    const dispersant = kind && { kind, text: kind === 'none' ? '' : amount.trim() };
    return {
      ...(dispersant ? { dispersant } : {}),
      soil: said(texts.soil),
      soaked: said(texts.soaked),
      shaken: said(texts.shaken)
    };
  }
  const usedForm = commandForm({
    id: 'used',
    texts: () => form,
    read: (texts) => {
      const used = usedIn(texts);
      const { 'dispersant.text': amount, ...errors } = usedProblems(used);
      if (amount || Object.keys(errors).length > 0) return { errors: { ...errors, amount } };
      return { errors: {}, payload: { testId: jar.id, used } };
    },
    command: 'jar.used',
    names: {
      'used.dispersant.text': 'amount',
      'used.soil': 'soil',
      soilMm: 'soil',
      'used.soaked': 'soaked',
      'used.shaken': 'shaken'
    },
    keep: async (payload) => {
      offerUndo(await send('jar.used', payload), w.kept(jar.code));
      open = false;
    },
    draft: {
      key: untrack(() => `used:${jar.id}`),
      take: (kept) => {
        form = { ...form, ...kept };
        open = true;
      }
    }
  });

  /** Keeps what was typed and not kept yet; whether nothing is left here. */
  export async function keepTyped(): Promise<boolean> {
    return !open || usedForm.press();
  }
</script>

<section aria-label={w.title} class="no-print my-3">
  {#if told.length > 0 && !open}
    <p>
      {told.join(', ')}
      <button type="button" class="link" onclick={() => (open = true)}>{w.change}</button>
    </p>
  {:else if !open}
    <button type="button" class="link" onclick={() => (open = true)}>{w.open}</button>
  {:else}
    <form use:usedForm.enhance method="POST" novalidate class="grid gap-3 max-w-reading">
      <p class="small"><strong>{w.title}</strong> <span class="faded">{w.lead}</span></p>
      {#if usedForm.errors['']}<p class="wrong" role="alert">{usedForm.errors['']}</p>{/if}
      <div class="grid grid-cols-2 max-sm:grid-cols-1 gap-x-5 gap-y-3 items-start">
        <Field label={w.kind}>
          {#snippet children(entry)}
            <select {...entry} class="select" bind:value={form.kind}>
              <option value="">{w.asAdvised}</option>
              {#each DISPERSANTS as kind (kind)}<option value={kind}>{w.kinds[kind]}</option>{/each}
            </select>
          {/snippet}
        </Field>
        {#if form.kind !== '' && form.kind !== 'none'}
          <TextField
            label={w.amount}
            hint={w.amountHint}
            error={usedForm.errors.amount}
            bind:value={form.amount}
            maxlength={60}
          />
        {/if}
        {#each ['soil', 'soaked', 'shaken'] as const as what (what)}
          <TextField
            label={w[what]}
            hint={w[`${what}Hint`]}
            error={usedForm.errors[what]}
            bind:value={form[what]}
            maxlength={60}
          />
        {/each}
      </div>
      <p><button class="btn btn-secondary">{w.keep}</button></p>
    </form>
  {/if}
</section>
