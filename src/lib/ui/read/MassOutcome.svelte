<!-- @component The estimate by mass that a result of before the answer carries beside what was read: shares, class and chance, why it differs for this jar, and what it takes for granted. -->
<script lang="ts">
  import Fold from '../kit/Fold.svelte';
  import LaterTable from '../kit/LaterTable.svelte';
  import { MASS_DRAWS, roundShares, type MassEstimate, type TextureResult } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { chanceLine, chanceText, headline } from '$lib/words/headline';
  import { t } from '$lib/words';
  import MassWorking from './MassWorking.svelte';

  type Props = {
    estimate: MassEstimate;
    read: TextureResult;
    format: Format;
  };
  let { estimate, read, format }: Props = $props();

  const LAYERS = ['sand', 'silt', 'clay'] as const;
  const rounded = (f: MassEstimate['fractions']) => roundShares([f.sand, f.silt, f.clay]);
  const shares = $derived(rounded(estimate.fractions));
  const asRead = $derived(rounded(read.fractions));
  /** The layer that the two views part on most. */
  const most = $derived(
    LAYERS.map((layer, i) => ({ layer, by: shares[i] - asRead[i] })).reduce((a, b) =>
      Math.abs(b.by) > Math.abs(a.by) ? b : a
    )
  );
  const other = $derived(estimate.classes.find((c) => c.id !== estimate.class.id && c.probability >= 0.005));
</script>

<section class="grid gap-2 border-t border-hair pt-3" aria-label={t.mass.title}>
  <h2 class="text-base text-faded">{t.mass.title}</h2>
  <p class="head font-head text-xl font-[650] leading-[1.2]" data-testid="by-mass">
    {headline(estimate.class.name, estimate.fractions)}
  </p>
  <p>
    {chanceLine(estimate.class.name, estimate.probability, 'mass')}
    {#if estimate.probability < 0.8 && other}{t.result.borderline(
        other.name,
        chanceText(other.probability)
      )}{/if}
  </p>
  <p>
    {Math.abs(most.by) < 2
      ? t.mass.alike
      : t.mass.differs[estimate.basis](t.layer[most.layer], Math.abs(most.by), most.by > 0)}
    {#if estimate.clayRange}
      {t.mass.range(
        Math.round(Math.min(estimate.clayRange.clear, estimate.clayRange.cloudy)),
        Math.round(Math.max(estimate.clayRange.clear, estimate.clayRange.cloudy)),
        estimate.clayRange.seen
      )}
    {:else if estimate.clayUpPct >= 1}
      {t.mass.stillUp(Math.round(estimate.clayUpPct))}
    {/if}
  </p>
  {#if estimate.underLimit}
    {@const under = rounded(estimate.underLimit.fractions)}
    <p>{t.mass.underLimit(estimate.underLimit.limitUm, under[0], under[1], under[2])}</p>
  {/if}
  {#if estimate.doubtful}<p class="pl-4 border-l-3 border-alarm">{t.mass.doubtful[estimate.doubtful]}</p>{/if}
  <Fold label={t.mass.how}>
    <p class="small mt-3">{t.mass.basis[estimate.basis]}</p>
    <p class="small mt-3">{t.mass.load(estimate.solidsKgM2.toFixed(1))}</p>
    <LaterTable
      rows={LAYERS.map((layer) => ({ layer }))}
      key={(row) => row.layer}
      columns={[
        { id: 'layer', head: t.mass.part, namesRow: true, text: ({ layer }) => t.Layer[layer] },
        {
          id: 'height',
          head: t.mass.byHeight,
          num: true,
          class: 'whitespace-nowrap',
          text: ({ layer }) => `${read.fractions[layer].toFixed(1)} %`
        },
        {
          id: 'mass',
          head: t.mass.byMass,
          num: true,
          class: 'whitespace-nowrap',
          text: ({ layer }) => `${estimate.fractions[layer].toFixed(1)} %`
        },
        { id: 'sd', head: '±', num: true, text: ({ layer }) => estimate.sd[layer].toFixed(1) }
      ]}
    />
    {#if estimate.working}<MassWorking working={estimate.working} {format} />{/if}
    <p class="small mt-3">{t.mass.simple}</p>
    <p class="small mt-3">{t.mass.draws(MASS_DRAWS.toLocaleString('en-GB'))}</p>
  </Fold>
</section>
