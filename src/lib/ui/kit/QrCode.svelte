<!-- @component An address as a QR code, for a phone to read off the screen or off paper. -->
<script lang="ts">
  import { encode } from 'uqr';

  type Props = {
    /** What it says. */
    text: string;
    /** Its side, px. */
    size: number;
    label: string;
  };
  let { text, size, label }: Props = $props();

  const code = $derived(encode(text));
  const path = $derived(
    code.data.flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1z`] : []))).join('')
  );
</script>

<svg width={size} height={size} viewBox="0 0 {code.size} {code.size}" role="img" aria-label={label}>
  <rect width={code.size} height={code.size} fill="var(--label)" />
  <path d={path} fill="var(--tape-ink)" shape-rendering="crispEdges" />
</svg>
