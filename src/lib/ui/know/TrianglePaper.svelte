<!-- @component The triangle with what goes with its paper: nearer, further off, the whole of it, and saving it as a picture. -->
<script lang="ts">
  import type { ComponentProps } from 'svelte';
  import { t } from '$lib/words';
  import SavePicture from '../export/SavePicture.svelte';
  import KnowTriangle from './KnowTriangle.svelte';

  type Props = ComponentProps<typeof KnowTriangle> & {
    /** What stands under it where it is saved. */
    caption: ComponentProps<typeof SavePicture>['caption'];
  };
  let { caption, ...drawn }: Props = $props();
  let triangle = $state<KnowTriangle>();
</script>

<KnowTriangle bind:this={triangle} {...drawn} />
<div class="no-print flex flex-wrap items-center gap-y-2 gap-x-6">
  <button type="button" class="btn btn-secondary" onclick={() => triangle?.zoom(1.6)}>{t.know.zoomIn}</button>
  <button type="button" class="btn btn-secondary" onclick={() => triangle?.zoom(1 / 1.6)}
    >{t.know.zoomOut}</button
  >
  <button type="button" class="btn btn-secondary" onclick={() => triangle?.zoomAll()}>{t.know.zoomAll}</button
  >
  {#if triangle}
    <SavePicture svg={triangle.picture} {caption} name="tivrel-triangle" />
  {/if}
</div>
