<!-- @component What is said of a jar that stands already: its point on the triangle, and the result or the one share. -->
<script lang="ts">
  import {
    inkOf,
    isShare,
    type DensityGrid,
    type JarAnswer,
    type JarResult,
    type TextureResult
  } from '$lib/core';
  import type { Figures } from '$lib/contract/records/reading';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import { wholeShares } from '$lib/words/headline';
  import Answer from '../answer/Answer.svelte';
  import Outcome from '../read/Outcome.svelte';
  import ShareOutcome from '../read/ShareOutcome.svelte';
  import Triangle from '../triangle/Triangle.svelte';

  type Props = {
    result?: JarResult;
    texture?: TextureResult;
    region?: DensityGrid;
    /** What is known of the soil from all of it. */
    answer?: JarAnswer;
    /** There will be one. */
    expected: boolean;
    /** It is not worked out to the end yet. */
    pending: boolean;
    /** Error of a line, mm. */
    sigmaMm: number;
    /** Set where shares were said, not read. */
    figures?: Figures;
    /** What stands against an answer. */
    against?: string;
    format: Format;
  };
  let { result, texture, region, answer, expected, pending, sigmaMm, figures, against, format }: Props =
    $props();

  const main = $derived(texture && (answer ?? (expected ? undefined : texture)));
  const shares = $derived(texture && wholeShares((main ?? texture).fractions));
</script>

<Triangle
  point={(main ?? texture)?.fractions}
  classId={main?.class.id}
  probabilities={main && Object.fromEntries(main.classes.map((c) => [c.id, c.probability]))}
  region={answer ? inkOf(answer) : main && region}
  label={shares
    ? t.result.triangle(main?.class.name ?? t.answer.asHeights, shares.sand, shares.silt, shares.clay)
    : t.result.triangleEmpty}
/>
<div aria-live="polite">
  {#if result && isShare(result)}
    <ShareOutcome {result} {format} {figures} />
  {:else if texture}
    {#if answer}<Answer {answer} read={texture} {pending} {format} />{/if}
    <Outcome result={texture} {sigmaMm} {figures} {format} arithmetic={expected} />
  {:else}<p class="faded">{against ?? t.stands.need}</p>{/if}
</div>
