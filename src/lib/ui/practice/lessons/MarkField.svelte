<!-- @component Any points from 0 to 100, typed: kept as the field is left, or with Enter. -->
<script lang="ts">
  import { readNumber } from '$lib/core';
  import { isMark } from '$lib/contract/records/lesson';
  import { refusals } from '$lib/words/refusals';

  type Props = { label: string; mark: number | null; onmark: (points: number) => void };
  let { label, mark, onmark }: Props = $props();
  const id = $props.id();
  let wrong = $state(false);

  function keep(text: string) {
    const points = readNumber(text);
    wrong = text.trim() !== '' && !isMark(points);
    if (!wrong && text.trim() !== '' && points !== mark) onmark(points);
  }
</script>

<span class="grid">
  <input
    class="input w-[4.5rem] text-right tabular-nums"
    inputmode="numeric"
    aria-label={label}
    aria-invalid={wrong ? 'true' : undefined}
    aria-describedby={wrong ? id : undefined}
    placeholder="0–100"
    value={mark ?? ''}
    onchange={(e) => keep(e.currentTarget.value)}
  />
  {#if wrong}<span class="wrong small" {id}>{refusals.practice.markRange}</span>{/if}
</span>
