<!-- @component Why an answer is what it is: what each piece of evidence pulls, and how the heights fit one settling. -->
<script lang="ts">
  import { pullOf, type Fit, type JarAnswer, type Strand } from '$lib/core';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import { wholeShares } from '$lib/words/headline';
  import Fold from '../kit/Fold.svelte';
  import LaterTable from '../kit/LaterTable.svelte';
  import { evidenceName, fitName } from './names';

  type Props = { answer: JarAnswer; format: Format };
  let { answer, format }: Props = $props();

  /** What a piece of evidence moves most, in whole points. */
  function pulls(strand: Strand): string {
    const pull = pullOf(strand, answer);
    if (!pull) return t.answer.holdsAll;
    return t.answer.pull(Math.round(Math.abs(pull.points)), pull.part, pull.points > 0);
  }

  function withoutOf({ without }: Strand): string {
    if (!without) return '';
    const { sand, silt, clay } = wholeShares(without);
    return `${sand} · ${silt} · ${clay}`;
  }

  const offOf = (f: Fit) => `${f.residualMm > 0 ? '+' : '−'}${format.length(Math.abs(f.residualMm), 1)}`;
</script>

<Fold label={t.answer.why}>
  <p class="small mt-3">{t.answer.whyHint}</p>
  <LaterTable
    rows={answer.strands}
    key={(_, i) => String(i)}
    columns={[
      { id: 'strand', head: t.answer.strand, namesRow: true, text: (s) => evidenceName(s.evidence) },
      { id: 'pull', head: t.answer.pulls, text: pulls },
      { id: 'without', head: t.answer.without, num: true, class: 'whitespace-nowrap', text: withoutOf }
    ]}
  />
  <p class="small mt-3">{t.answer.fitHint}</p>
  <LaterTable
    rows={answer.fit}
    key={(_, i) => String(i)}
    columns={[
      { id: 'fit', head: t.answer.fitOf, namesRow: true, text: fitName },
      { id: 'off', head: t.answer.off, num: true, class: 'whitespace-nowrap', text: offOf },
      {
        id: 'sigma',
        head: '±',
        num: true,
        class: 'whitespace-nowrap',
        text: (f) => format.length(f.sigmaMm, 1)
      }
    ]}
  />
  <ul class="plain-list small mt-3 max-w-[16rem]">
    {#each answer.classes.filter((c) => c.probability >= 0.005) as c (c.id)}
      <li class="flex justify-between border-b border-hair">
        <span>{c.name}</span><span>{(c.probability * 100).toFixed(1)} %</span>
      </li>
    {/each}
  </ul>
  <p class="small mt-3">{t.answer.model}</p>
</Fold>
