<!-- @component Where a picture comes from: a file, the camera, one that is kept already, or the simulated bench camera. -->
<script lang="ts">
  import FilePick from '../kit/FilePick.svelte';
  import type { PhotoRecord } from '$lib/contract/records/ground';
  import { PICTURES } from '$lib/browser/upload';
  import { t } from '$lib/words';
  import Camera from './Camera.svelte';

  type Props = {
    /** A kept picture comes with the id of its file. */
    onpicture: (picture: Blob, fileId?: string) => void;
    /** Pictures on record that can be taken up again. */
    kept?: readonly PhotoRecord[];
    /** Address of the bench camera's picture; none where it is switched off. */
    bench?: string;
  };
  let { onpicture, kept = [], bench }: Props = $props();

  let camera = $state(false);
  let problem = $state('');

  async function fetched(address: string, fileId?: string) {
    problem = '';
    try {
      const answer = await fetch(address);
      if (!answer.ok) throw new Error(String(answer.status));
      onpicture(await answer.blob(), fileId);
    } catch {
      problem = t.outbox.unreachable;
    }
  }
</script>

<div class="choice-of-picture">
  {#if camera}
    <Camera
      onpicture={(picture) => {
        camera = false;
        onpicture(picture);
      }}
      onclose={() => (camera = false)}
    />
  {:else}
    <p class="flex flex-wrap gap-3">
      <FilePick label={t.picture.choose} accept={PICTURES} onpick={([file]) => onpicture(file)} />
      <button type="button" class="btn btn-secondary" onclick={() => (camera = true)}
        >{t.picture.camera}</button
      >
      {#if bench}
        <button type="button" class="btn btn-secondary" onclick={() => fetched(bench)}
          >{t.picture.bench}</button
        >
      {/if}
    </p>
    {#if kept.length > 0}
      <ul class="plain-list kept flex flex-wrap gap-3 mt-3" aria-label={t.picture.kept}>
        {#each kept as photo, i (photo.id)}
          <li>
            <button
              type="button"
              aria-label={t.picture.useKept(i + 1)}
              onclick={() => fetched(`/api/v1/photos/${photo.fileId}`, photo.fileId)}
            >
              <img
                class="block w-auto h-[6.5rem]"
                src="/api/v1/photos/{photo.fileId}"
                alt=""
                width={photo.width}
                height={photo.height}
              />
            </button>
          </li>
        {/each}
      </ul>
    {/if}
  {/if}
  {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
</div>

<style>
  .kept button {
    padding: 0;
    border: var(--line) solid var(--rule);
    background: none;
    cursor: pointer;
  }
</style>
