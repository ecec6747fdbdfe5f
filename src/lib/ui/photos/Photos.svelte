<!-- @component Pictures of a sample or a spot, side by side, and a way to add one or take one off. -->
<script lang="ts">
  import type { PhotoRecord, PhotoSubject } from '$lib/contract/records/ground';
  import type { Format } from '$lib/words/format';
  import { offerUndo, problemText, record } from '$lib/browser/actions';
  import { addPhoto, PICTURES } from '$lib/browser/upload';
  import { t } from '$lib/words';

  type Props = {
    /** Pictures that are kept, oldest first. */
    photos: PhotoRecord[];
    /** What they show: a sample, a spot or a test, by its id. */
    subject: PhotoSubject;
    subjectId: string;
    /** What it is, for the words beside a picture. */
    name: string;
    format: Format;
    /** Opens the camera on a phone. */
    camera?: boolean;
  };
  let { photos, subject, subjectId, name, format, camera = false }: Props = $props();

  let problem = $state('');
  let busy = $state(false);
  /** Stays until it has been taken in, so that a failure on the way loses nothing. */
  let left = $state<File>();

  async function add(file: File | undefined) {
    if (!file) return;
    left = file;
    busy = true;
    problem = '';
    try {
      offerUndo(await addPhoto(subject, subjectId, file), t.photos.added(name));
      left = undefined;
    } catch (failed) {
      problem = problemText(failed);
    } finally {
      busy = false;
    }
  }
  const when = (photo: PhotoRecord) =>
    photo.takenText
      ? `${format.dayOf(photo.takenText.slice(0, 10))}, ${photo.takenText.slice(11)}`
      : format.day(photo.createdAt);
</script>

{#if photos.length > 0}
  <ul class="plain-list grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-4">
    {#each photos as photo (photo.id)}
      <li>
        <a href="/api/v1/photos/{photo.fileId}" target="_blank" rel="noopener">
          <img
            src="/api/v1/photos/{photo.fileId}"
            alt={t.photos.alt(name, when(photo))}
            loading="lazy"
            width={photo.width}
            height={photo.height}
          />
        </a>
        <p class="small flex justify-between items-center mt-1">
          <span class="faded">{when(photo)}</span>
          <button
            type="button"
            class="link no-print"
            onclick={() => record('photo.remove', { photoId: photo.id }, t.photos.removed)}
            >{t.photos.remove}</button
          >
        </p>
      </li>
    {/each}
  </ul>
{/if}
<p class="no-print flex flex-wrap gap-4 mt-3">
  {#await import('../kit/FilePick.svelte') then { default: FilePick }}
    <FilePick
      label={busy ? t.photos.sending : camera ? t.photos.take : t.photos.add}
      accept={PICTURES}
      capture={camera ? 'environment' : undefined}
      disabled={busy}
      onpick={([file]) => add(file)}
    />
  {/await}
  {#if left && problem}
    <button type="button" class="btn btn-secondary" onclick={() => add(left)}
      >{t.photos.again(left.name)}</button
    >
  {/if}
</p>
{#if problem}<p class="wrong small" role="alert">{problem}</p>{/if}

<style>
  img {
    display: block;
    width: 100%;
    height: 8rem;
    object-fit: cover;
    border: var(--line) solid var(--rule);
  }
</style>
