<!-- @component Views of the log that were kept, each a press away; and the one that is shown, to be kept by a name. -->
<script lang="ts">
  import { ulid } from 'ulid';
  import type { PayloadInput } from '$lib/contract/commands';
  import { offerUndo, record } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import TextField from '../fields/TextField.svelte';
  import { commandForm, type FormRead } from '../fields/command-form.svelte';

  type Props = {
    views: readonly { id: string; name: string; query: string }[];
    /** What the address asks for now; '' for every test. */
    query: string;
  };
  let { views, query }: Props = $props();

  const here = $derived(views.find((view) => view.query === query));
  let naming = $state(false);
  let texts = $state({ name: '' });
  let viewId = ulid();
  const read = (o: typeof texts): FormRead<PayloadInput<'view.keep'>> => ({
    errors: {},
    payload: { viewId, name: o.name, query }
  });
  const form = commandForm({
    id: 'view',
    texts: () => texts,
    read,
    command: 'view.keep',
    keep: async (payload) => {
      offerUndo(await send('view.keep', payload), t.log.views.kept(payload.name.trim()));
      viewId = ulid();
      texts = { name: '' };
      naming = false;
    }
  });
</script>

<div
  class="no-print flex flex-wrap items-center gap-x-6 gap-y-2"
  class:mb-3={views.length > 0 || query !== ''}
>
  {#if views.length > 0}
    <nav aria-label={t.log.views.title} class="contents">
      {#each views as view (view.id)}
        <span class="inline-flex items-center">
          <a class="link" href="/log?{view.query}" aria-current={view === here ? 'page' : undefined}
            >{view.name}</a
          >
          <button
            type="button"
            class="off"
            aria-label={t.log.views.letGo(view.name)}
            onclick={() => record('view.remove', { viewId: view.id }, t.log.views.gone(view.name))}>×</button
          >
        </span>
      {/each}
    </nav>
  {/if}
  {#if query !== '' && !here}
    {#if naming}
      <form class="flex flex-wrap items-start gap-4" use:form.enhance method="POST" novalidate>
        <TextField label={t.log.views.name} error={form.errors.name} maxlength={60} bind:value={texts.name} />
        <button class="btn btn-primary mt-7">{t.log.views.keep}</button>
      </form>
    {:else}
      <button type="button" class="link min-h-touch" onclick={() => (naming = true)}
        >{t.log.views.keepThis}</button
      >
    {/if}
  {/if}
</div>

<style>
  a[aria-current] {
    font-weight: 700;
  }
  .off {
    min-width: 44px;
    min-height: 44px;
    color: var(--faded);
    font-size: var(--text-lg);
  }
</style>
