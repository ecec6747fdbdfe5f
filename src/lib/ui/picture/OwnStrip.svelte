<!-- @component The scale and the strip of a picture that is being read, on the picture. -->
<script lang="ts">
  import type { Strip } from '$lib/core';
  import type { ComponentProps } from 'svelte';
  import type { PictureReading } from './reading.svelte';
  import StripOverlay from './StripOverlay.svelte';

  type Props = { of: PictureReading; strip: Strip | undefined } & Pick<
    ComponentProps<typeof StripOverlay>,
    'unit'
  >;
  let { of, strip, unit }: Props = $props();
</script>

<StripOverlay
  {strip}
  low={of.low.at}
  high={of.high.at}
  lowMark={of.low.text}
  highMark={of.high.text}
  outline={strip ? of.outline(strip) : []}
  {unit}
  onlow={(to) => of.moveCross('low', to)}
  onhigh={(to) => of.moveCross('high', to)}
  onstrip={(change) => Object.assign(of, change)}
/>
