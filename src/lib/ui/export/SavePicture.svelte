<!-- @component Saves a drawing as SVG or PNG, with its legend and where it comes from. -->
<script lang="ts">
  import { say, sayProblem } from '../state/toasts';
  import { t } from '../strings';
  import { savePng, saveSvg, type Caption } from './picture';

  /** What is saved, and the name of the file without its ending. */
  let { svg, caption, name }: { svg: SVGSVGElement | undefined; caption: () => Caption; name: string } =
    $props();
  let busy = $state(false);

  async function keep(how: typeof saveSvg) {
    if (!svg) return;
    busy = true;
    try {
      await how(svg, caption(), name);
      say(t.saving.saved(name));
    } catch {
      sayProblem(t.saving.failed);
    } finally {
      busy = false;
    }
  }
</script>

<span class="save no-print">
  <button type="button" class="link" disabled={busy} onclick={() => keep(saveSvg)}>{t.saving.svg}</button>
  <button type="button" class="link" disabled={busy} onclick={() => keep(savePng)}>{t.saving.png}</button>
</span>

<style>
  .save {
    display: inline-flex;
    gap: 1.2rem;
  }
</style>
