<!-- @component What is judged or counted by, as it is written: its name, what it holds, and keeping or leaving it. -->
<script
  lang="ts"
  generics="C extends 'bed.save' | 'technique.save' | 'figures.save', T extends { name: string }"
>
  import { untrack, type Snippet } from 'svelte';
  import type { PayloadInput } from '$lib/contract/commands';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import { commandForm, type FieldErrors, type FormRead } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';

  type Props = {
    command: C;
    /** Id of what it is written from, and whether that is copied. */
    from: string;
    copied: boolean;
    texts: T;
    /** Reads the texts; what is wrong with them is told in `errors`. */
    read: (texts: T, errors: FieldErrors) => PayloadInput<C>;
    label: string;
    /** What is said once it is kept. */
    said: (name: string) => string;
    onleave: () => void;
    children: Snippet<[FieldErrors]>;
  };
  let { command, from, copied, texts = $bindable(), read, label, said, onleave, children }: Props = $props();

  const form = commandForm({
    id: untrack(() => command),
    texts: () => texts,
    read: (o: T): FormRead<PayloadInput<C>> => {
      const errors: FieldErrors = {};
      const payload = read(o, errors);
      return Object.keys(errors).length > 0 ? { errors } : { errors, payload };
    },
    command: untrack(() => command),
    keep: async (payload: PayloadInput<C>) => {
      offerUndo(await send(command, payload), said(texts.name));
      onleave();
    },
    draft: {
      key: untrack(() => `${command}:${from}:${copied}`),
      take: (kept: T) => (texts = { ...texts, ...kept })
    }
  });
  const errors = $derived(form.errors);
  function leave() {
    form.clear();
    onleave();
  }
</script>

<form class="grid gap-4 mt-3" use:form.enhance method="POST" novalidate>
  <div class="max-w-[24rem]">
    <Field {label} error={errors.name}>
      {#snippet children(entry)}<input {...entry} class="input" bind:value={texts.name} />{/snippet}
    </Field>
  </div>
  {@render children(errors)}
  {#if errors['']}<p class="wrong" role="alert">{errors['']}</p>{/if}
  <div class="row-of-actions">
    <button class="btn btn-primary">{t.profiles.keep}</button>
    <button type="button" class="btn btn-secondary" onclick={leave}>{t.common.cancel}</button>
  </div>
</form>
