<!-- @component What was used on a jar, and how long, where it was not as its method advises: in the measure of whoever did it. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { outcomeOf, parseDuration, readAmount } from '$lib/core';
  import { DISPERSANTS, type JarRecord, type Used } from '$lib/contract/records/jar';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { refusals } from '$lib/words/refusals';
  import { t } from '$lib/words';
  import { usedWords } from '$lib/workbench/used';
  import { commandForm, type FieldErrors } from '../fields/command-form.svelte';
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

  function errorsIn(): FieldErrors {
    const amount = (text: string) => outcomeOf(() => readAmount(text)).problem?.message;
    const time = (text: string) =>
      text.trim() !== '' && outcomeOf(() => parseDuration(text)).problem ? refusals.jars.howLong : undefined;
    const dosed = form.kind !== '' && form.kind !== 'none';
    return {
      amount: !dosed ? undefined : form.amount.trim() === '' ? w.needAmount : amount(form.amount),
      soil: form.soil.trim() === '' ? undefined : amount(form.soil),
      soaked: time(form.soaked),
      shaken: time(form.shaken)
    };
  }
  const usedForm = commandForm({
    id: 'used',
    texts: () => form,
    read: () => {
      const errors = errorsIn();
      if (Object.values(errors).some(Boolean)) return { errors };
      const { kind, amount, soil, soaked, shaken } = form;
      const said = (text: string) => text.trim() || undefined;
      const used: Used = {
        ...(kind === '' ? {} : { dispersant: { kind, text: kind === 'none' ? '' : amount.trim() } }),
        soil: said(soil),
        soaked: said(soaked),
        shaken: said(shaken)
      };
      return { errors, payload: { testId: jar.id, used } };
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
