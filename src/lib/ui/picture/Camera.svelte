<!-- @component The browser's camera, and a button that takes what it sees. -->
<script lang="ts">
  import { t } from '$lib/words';
  import LiveCamera from './LiveCamera.svelte';

  type Props = { onpicture: (picture: Blob) => void; onclose: () => void };
  let { onpicture, onclose }: Props = $props();

  let live: LiveCamera;
  let seeing = $state(false);
</script>

<LiveCamera bind:this={live} onseeing={() => (seeing = true)} />
<p class="row-of-actions mt-3">
  <button
    type="button"
    class="btn btn-secondary"
    disabled={!seeing}
    onclick={async () => onpicture(await live.grab())}>{t.picture.takeNow}</button
  >
  <button type="button" class="link" onclick={onclose}>{t.common.close}</button>
</p>
