<!-- @component What the browser's camera sees; `grab` takes it as a picture. -->
<script lang="ts">
  import { known } from '$lib/core';
  import { PictureProblem } from '$lib/browser/picture-work';
  import { drawingOn } from '$lib/browser/canvas';
  import { onMount } from 'svelte';
  import { t } from '$lib/words';

  type Props = {
    small?: boolean;
    /** Told once it sees something. */
    onseeing?: () => void;
  };
  let { small = false, onseeing }: Props = $props();

  let video: HTMLVideoElement;
  let problem = $state('');

  onMount(() => {
    let stream: MediaStream | undefined;
    let gone = false;
    openCamera()
      .then((opened) => {
        stream = opened;
        if (gone) opened.getTracks().forEach((track) => track.stop());
        else video.srcObject = opened;
      })
      .catch(() => (problem = t.picture.noCamera));
    return () => {
      gone = true;
      stream?.getTracks().forEach((track) => track.stop());
    };
  });

  async function openCamera(): Promise<MediaStream> {
    return navigator.mediaDevices.getUserMedia({
      video: { facingMode: 'environment', width: { ideal: 1920 }, height: { ideal: 1080 } }
    });
  }

  /** What the camera sees now, as a picture. */
  export async function grab(): Promise<Blob> {
    const seen = await frame();
    const canvas = document.createElement('canvas');
    canvas.width = 'videoWidth' in seen ? seen.videoWidth : seen.width;
    canvas.height = 'videoHeight' in seen ? seen.videoHeight : seen.height;
    drawingOn(canvas).drawImage(seen, 0, 0);
    const picture = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', 0.95));
    return known(picture, 'what the camera sees has a size');
  }

  /** From the camera itself where the browser can: a video out of sight may stand still. */
  async function frame(): Promise<ImageBitmap | HTMLVideoElement> {
    if (!(video.srcObject instanceof MediaStream)) throw new PictureProblem(t.picture.noCamera, 'picture');
    const [track] = video.srcObject.getVideoTracks();
    if (!('ImageCapture' in window)) return video;
    return new ImageCapture(track).grabFrame().catch(() => video);
  }
</script>

<video
  class="block w-full max-h-[30rem] bg-ink"
  bind:this={video}
  class:small
  class:hidden={problem !== ''}
  autoplay
  playsinline
  muted
  aria-label={t.picture.sees}
  onplaying={() => onseeing?.()}
></video>
{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}

<style>
  video.small {
    width: 14rem;
    max-height: 11rem;
  }
</style>
