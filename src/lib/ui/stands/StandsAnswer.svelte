<!-- @component What is said of a jar that stands already: its point on the triangle, and the result or the one share. -->
<script lang="ts">
  import { isShare, type DensityGrid, type JarResult, type TextureResult } from '$lib/core';
  import type { Figures } from '$lib/contract/records/reading';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import { wholeShares } from '$lib/words/headline';
  import Outcome from '../read/Outcome.svelte';
  import ShareOutcome from '../read/ShareOutcome.svelte';
  import Triangle from '../triangle/Triangle.svelte';

  type Props = {
    result?: JarResult;
    texture?: TextureResult;
    region?: DensityGrid;
    /** Error of a line, mm. */
    sigmaMm: number;
    /** Set where shares were said, not read. */
    figures?: Figures;
    format: Format;
  };
  let { result, texture, region, sigmaMm, figures, format }: Props = $props();

  const shares = $derived(texture && wholeShares(texture.fractions));
</script>

<Triangle
  point={texture?.fractions}
  classId={texture?.class.id}
  probabilities={texture && Object.fromEntries(texture.classes.map((c) => [c.id, c.probability]))}
  {region}
  label={texture && shares
    ? t.result.triangle(texture.class.name, shares.sand, shares.silt, shares.clay)
    : t.result.triangleEmpty}
/>
<div aria-live="polite">
  {#if result && isShare(result)}
    <ShareOutcome {result} {format} {figures} />
  {:else if texture}
    <Outcome result={texture} {sigmaMm} {figures} {format} />
  {:else}<p class="faded">{t.stands.need}</p>{/if}
</div>
