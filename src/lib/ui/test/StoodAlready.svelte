<!-- @component Set down by mistake on a jar that stood already: how long about it stands, and its clock is let go. -->
<script lang="ts">
  import { STOOD, type RunRecord, type Stood } from '$lib/contract/records/run';
  import type { JarRecord } from '$lib/contract/records/jar';
  import Choice from '../fields/Choice.svelte';
  import { record } from '$lib/browser/actions';
  import Sheet from '../station/Sheet.svelte';
  import { t } from '$lib/words';

  type Props = { jar: JarRecord; run: RunRecord; open: boolean };
  let { jar, run, open = $bindable() }: Props = $props();
  let stood = $state<Stood>('yesterday');

  async function turn() {
    open = false;
    await record('run.stood', { testId: jar.id, runId: run.id, stood }, t.stands.turned(jar.code));
  }
</script>

<Sheet bind:open title={t.stands.turnTitle(jar.code)} lead={t.stands.turnLead}>
  <Choice
    label={t.stands.howLong}
    bind:value={stood}
    options={STOOD.map((value) => ({ value, label: t.stands.stood[value] }))}
  />
  {#snippet actions()}<button type="button" class="btn btn-primary" onclick={turn}>{t.stands.turnDo}</button
    >{/snippet}
</Sheet>
