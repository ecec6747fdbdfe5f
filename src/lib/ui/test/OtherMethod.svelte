<!-- @component Another method for a jar: taken while it does not stand, refused with the reason once it does, and a copy offered. -->
<script lang="ts">
  import type { JarRecord } from '$lib/contract/records/jar';
  import { offerUndo, problemText } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';

  type Props = { jar: JarRecord; methods: { key: string; name: string }[] };
  let { jar, methods }: Props = $props();
  const id = $props.id();
  let key = $state('');
  let refusal = $state('');

  async function take() {
    refusal = '';
    try {
      const sent = await send('jar.method', { testId: jar.id, methodKey: key });
      offerUndo(sent, t.jar.methodTaken(jar.code, methods.find((m) => m.key === key)?.name ?? ''));
      key = '';
    } catch (problem) {
      refusal = problemText(problem);
    }
  }
</script>

<div class="no-print flex flex-wrap gap-y-2 gap-x-4 items-center mt-3">
  <label for="{id}-method">{t.jar.otherMethod}</label>
  <select id="{id}-method" class="select w-auto max-w-full" bind:value={key}>
    <option value="">{jar.method.name}</option>
    {#each methods.filter((m) => m.key !== jar.methodKey) as m (m.key)}<option value={m.key}>{m.name}</option
      >{/each}
  </select>
  <button type="button" class="btn btn-secondary" disabled={key === ''} onclick={take}
    >{t.jar.takeMethod}</button
  >
</div>
{#if refusal}
  <p class="wrong" role="alert">{refusal}</p>
  <p><a class="btn btn-secondary" href="/set?sample={jar.sample.id}&method={key}">{t.jar.setCopy}</a></p>
{/if}
