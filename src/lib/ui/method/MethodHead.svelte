<!-- @component What a method is for, and what can be done with it: set a jar by it, change or copy it, take it off the list. -->
<script lang="ts">
  import { goto } from '$app/navigation';
  import { record } from '$lib/browser/actions';
  import type { Method } from '$lib/core';
  import { t } from '$lib/words';

  type Props = {
    method: Method;
    /** One's own, and whether it has been taken off the list. */
    own: boolean;
    retired: boolean;
    /** Its versions, and the latest of them. */
    versions: number[];
    latest: number;
  };
  let { method, own, retired, versions, latest }: Props = $props();

  async function retire() {
    const done = await record('method.retire', { methodKey: method.key }, t.methods.retiredNow(method.name));
    if (done) await goto('/plan/methods');
  }
</script>

<div class="head">
  <div>
    <h1>{method.name}</h1>
    <p class="text-lg my-2">{method.purpose}</p>
    <p class="faded">{method.stand}</p>
  </div>
  <div class="flex flex-wrap gap-y-3 gap-x-4 items-center">
    {#if retired}
      <p class="faded max-w-[18rem]">{t.methods.retired}</p>
    {:else if method.version < latest}
      <p class="faded max-w-[18rem]">{t.methods.older(method.version, latest)}</p>
      <a class="btn btn-secondary" href="/plan/methods/{method.key}">{t.methods.toLatest}</a>
    {:else}
      <a class="btn btn-primary" href="/set?method={method.key}">{t.plan.setThisWay}</a>
    {/if}
    {#if method.version === latest}
      <a class="btn btn-secondary" href="/plan/methods/{method.key}/edit"
        >{own ? t.methods.change : t.methods.copy}</a
      >
      {#if own && !retired}
        <button type="button" class="btn btn-secondary" onclick={retire}>{t.methods.retire}</button>
      {/if}
    {/if}
    {#if versions.length > 1}
      <p class="faded small max-w-[18rem] flex gap-3">
        {t.methods.versions}
        {#each versions as version (version)}
          {#if version === method.version}<b>{version}</b>{:else}<a
              class="link"
              href="/plan/methods/{method.key}?version={version}">{version}</a
            >{/if}
        {/each}
      </p>
    {/if}
  </div>
</div>

<style>
  .head {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: var(--spacing-5) var(--spacing-8);
    align-items: flex-end;
    margin-bottom: var(--spacing-6);
  }
  .head > div:first-child {
    flex: 1 1 26rem;
    max-width: 46rem;
  }
</style>
