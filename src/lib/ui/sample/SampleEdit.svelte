<!-- @component Writing down more about a sample; what is typed stays in the page's form until it is kept or left. -->
<script lang="ts">
  import type { SiteDetail } from '$lib/contract/records/ground';
  import type { SampleRecord } from '$lib/contract/records/sample';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import BothVersions from '../fields/BothVersions.svelte';
  import { commandForm } from '../fields/command-form.svelte';
  import { formOf, readSampleForm, type SampleForm } from './form';
  import SampleFields from './SampleFields.svelte';

  type Props = {
    sample: SampleRecord;
    form: SampleForm;
    sites: SiteDetail[];
    format: Format;
    /** Today, as 2026-05-01. */
    today: string;
    /** Told when it is kept, and when it is left as it was. */
    onleave: () => void;
  };
  let { sample, form = $bindable(), sites, format, today, onleave }: Props = $props();

  const unit = $derived(format.profile.length);
  const areas = $derived(sites.flatMap((s) => s.areas.map((a) => ({ ...a, siteName: s.name }))));
  const read = $derived(readSampleForm(form, unit));
  const sampleForm = commandForm({
    id: 'sample',
    texts: () => form,
    read: ({ name, purpose, note, areaId, spotIds }) => ({
      errors: read.errors,
      payload: {
        sampleId: sample.id,
        name,
        purpose,
        note,
        areaId: areaId || null,
        spotIds,
        details: read.details
      }
    }),
    names: {
      'details.takenOn': 'takenOn',
      'details.depthTo': 'depthTo',
      'details.sieve': 'sieve',
      'details.driedH': 'dried',
      'details.gravel.amount': 'gravel',
      'details.gravel.whole': 'gravelWhole'
    },
    record: () => ({
      name: sample.name,
      purpose: sample.purpose,
      note: sample.note,
      details: sample.details,
      areaId: sample.areaId,
      spotIds: sample.spotIds
    }),
    refill: () => (form = formOf(sample, unit)),
    keep: async (payload, seen) => {
      const sent = await send('sample.edit', payload, undefined, seen);
      leave();
      offerUndo(sent, t.sample.kept(sample.code));
    }
  });
  const errors = $derived({ ...sampleForm.errors, ...read.errors });

  function leave() {
    sampleForm.clear();
    onleave();
  }
</script>

<form class="max-w-[54rem]" use:sampleForm.enhance method="POST" novalidate>
  <SampleFields bind:form {errors} {unit} {areas} {today} />
  <BothVersions form={sampleForm} />
  {#if sampleForm.errors[''] && !sampleForm.meanwhile}<p class="wrong" role="alert">
      {sampleForm.errors['']}
    </p>{/if}
  <div class="row-of-actions mt-5 mb-7">
    <button class="btn btn-primary">{t.sample.keep}</button>
    <button type="button" class="btn btn-secondary" onclick={leave}>{t.common.cancel}</button>
  </div>
</form>
