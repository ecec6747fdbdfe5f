<script lang="ts">
  import { page } from '$app/state';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import ReportSheet from '$lib/ui/report/ReportSheet.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const kind = $derived(page.params.kind as 'test' | 'sample' | 'site');
  const back = $derived(
    { test: '/tests/', sample: '/samples/', site: '/plan/ground/' }[kind] + (page.params.id ?? '')
  );
  const files = $derived(`/api/v1/reports/${kind}/${page.params.id}`);
</script>

<div class="no-print flex flex-wrap items-center gap-x-6 gap-y-3 my-5">
  <BackLink href={back} label={t.report.back[kind]} />
  <span class="grow"></span>
  <a class="link" href="{files}/report.html" download>{t.report.html}</a>
  <a class="btn btn-secondary" href="{files}/report.pdf" target="_blank" rel="noopener">{t.report.pdf}</a>
  <button type="button" class="btn btn-primary" onclick={() => print()}>{t.report.print}</button>
</div>
<ReportSheet body={data.body} />
