<!-- @component The scale and the strip of a picture that is being read, on the picture. -->
<script lang="ts">
  import type { Strip } from '$lib/core';
  import type { ComponentProps } from 'svelte';
  import type { PictureReading } from './reading.svelte';
  import StripOverlay from './StripOverlay.svelte';

  type Props = { pictureReading: PictureReading; strip: Strip | undefined } & Pick<
    ComponentProps<typeof StripOverlay>,
    'unit'
  >;
  let { pictureReading, strip, unit }: Props = $props();
</script>

<StripOverlay
  {strip}
  low={pictureReading.low.at}
  high={pictureReading.high.at}
  lowMark={pictureReading.low.text}
  highMark={pictureReading.high.text}
  outline={strip ? pictureReading.outline(strip) : []}
  {unit}
  onlow={(to) => pictureReading.moveCross('low', to)}
  onhigh={(to) => pictureReading.moveCross('high', to)}
  onstrip={(change) => pictureReading.putStrip(change)}
/>
