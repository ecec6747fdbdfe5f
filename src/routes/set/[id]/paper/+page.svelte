<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { formatDuration, formatTapeTime, markWindow, type TimedMark } from '$lib/core';
  import { keepsDraft } from '$lib/ui/fields/kept.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import MomentField from '$lib/ui/fields/MomentField.svelte';
  import { readMoment } from '$lib/ui/fields/time';
  import { readAfter } from '$lib/ui/fields/after';
  import { readLength, readTemperature, readNumber } from '$lib/ui/fields/read';

  import { formatFor } from '$lib/words/format';
  import { heightIn } from '$lib/ui/set/amounts';
  import { problemText } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { send } from '$lib/browser/outbox.svelte';
  import { say } from '$lib/browser/toasts';
  import { t } from '$lib/words';

  let { data } = $props();
  const test = $derived(data.test);
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const unit = $derived(format.profile.length);
  const method = $derived(test.method);
  const tool = $derived(method.kind === 'pipette' ? ('pipette' as const) : ('hydrometer' as const));
  /** What is written on the printed sheet besides its times. */
  const blanks = $derived([
    ...(test.cylinder
      ? [t.cylinder.airDry, t.cylinder.wet, t.cylinder.dry, t.cylinder.tin, t.cylinder.blank]
      : [...(['gravel', 'sand', 'silt', 'clay'] as const).map((l) => t.read.line(t.layer[l])), t.read.total]),
    t.sample.fields.note
  ]);
  const stands = $derived(test.status !== 'ready');
  const draftKey = untrack(() => `paper:${data.test.id}`);

  let form = $state({
    setDown: '',
    after: {} as Record<string, string>,
    height: {} as Record<string, string>,
    /** Figures and temperatures of instrument readings, by their number. */
    value: {} as Record<string, string>,
    temp: {} as Record<string, string>
  });
  let tried = $state(false);
  let problem = $state('');
  let busy = $state(false);
  const forget = keepsDraft<typeof form>(
    draftKey,
    (kept) => (form = { ...form, ...kept }),
    () => $state.snapshot(form)
  );

  const setDownAt = $derived(readMoment(form.setDown));
  const rows = $derived(
    method.marks.map((mark) => {
      const after = (form.after[mark.layer] ?? '').trim();
      const height = (form.height[mark.layer] ?? '').trim();
      return {
        mark,
        time: after === '' ? undefined : readAfter(after, { setDownAt, askedS: mark.atS }),
        height: height === '' ? undefined : { ...readLength(height, unit), text: height }
      };
    })
  );
  /** Readings of an instrument: the time asked for counts where none was written down. */
  const readings = $derived(
    (method.readings ?? []).map((reading, no) => {
      const [after, value, temp] = [form.after[no], form.value[no], form.temp[no]].map((x) =>
        (x ?? '').trim()
      );
      const time =
        after === '' ? { value: reading.atS! } : readAfter(after, { setDownAt, askedS: reading.atS! });
      return {
        no,
        askedS: reading.atS!,
        written: after !== '' || value !== '',
        time,
        value: value === '' ? null : readNumber(value),
        temp: temp === '' ? { value: test.tempC } : readTemperature(temp, format.profile.temperature)
      };
    })
  );
  /** A sentence for each field that is wrong, by its name. */
  const errors = $derived.by(() => {
    const out: Record<string, string | undefined> = {};
    if (setDownAt === undefined) out.setDown = tried ? t.paper.needSetDown : undefined;
    else if (setDownAt > clock.now) out.setDown = t.paper.future;
    let last = 0;
    for (const { mark, time, height } of rows) {
      if (time?.error) out[`after-${mark.layer}`] = time.error;
      if (height?.error) out[`height-${mark.layer}`] = height.error;
      if (height && !time) out[`after-${mark.layer}`] = t.paper.needTime;
      if (time?.value === undefined) continue;
      if (time.value <= last) out[`after-${mark.layer}`] = t.paper.order;
      else if (setDownAt !== undefined && setDownAt + time.value * 1000 > clock.now) {
        out[`after-${mark.layer}`] = t.paper.future;
      }
      last = time.value;
    }
    for (const { no, written, time, value, temp } of readings) {
      if (!written) continue;
      if (time.error) out[`after-${no}`] = time.error;
      else if (setDownAt !== undefined && setDownAt + time.value! * 1000 > clock.now) {
        out[`after-${no}`] = t.paper.future;
      }
      if (value !== null && Number.isNaN(value)) {
        out[`value-${no}`] = t.cylinder.number(t.cylinder.valueOf(no + 1).toLowerCase());
      }
      if (temp.error) out[`temp-${no}`] = temp.error;
    }
    return out;
  });

  /** What has gone through already: a second try must not do it again. */
  const runId = ulid();
  const markIds: Partial<Record<TimedMark['layer'], string>> = {};
  const gaugeIds: Record<number, string> = {};
  const done = new Set<string>();
  async function once(key: string, work: () => Promise<unknown>) {
    if (done.has(key)) return;
    await work();
    done.add(key);
  }

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    tried = true;
    problem = '';
    if (setDownAt === undefined || Object.values(errors).some(Boolean)) {
      queueMicrotask(() => document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());
      return;
    }
    busy = true;
    try {
      await once('down', () => send('jar.set-down', { testId: test.id, runId }, setDownAt));
      for (const { mark, time, height } of rows) {
        if (time?.value === undefined) continue;
        const at = Math.round(setDownAt + time.value * 1000);
        const { layer } = mark;
        const markId = (markIds[layer] ??= ulid());
        await once(layer, () => send('jar.mark', { testId: test.id, runId, markId, layer }, at));
        if (height?.value === undefined) continue;
        const line = { mm: height.value, text: height.text };
        await once(`height-${layer}`, () => send('mark.height', { testId: test.id, markId, height: line }));
      }
      for (const { no, written, time, value, temp } of readings) {
        if (!written) continue;
        const at = Math.round(setDownAt + time.value! * 1000);
        const gaugeId = (gaugeIds[no] ??= ulid());
        const payload = { testId: test.id, runId, gaugeId, no, value, tempC: temp.value! };
        await once(`gauge-${no}`, () => send('gauge.take', payload, at));
      }
      forget();
      say(t.paper.kept(test.code));
      await goto(test.cylinder ? `/read/${test.id}/cylinder` : `/tests/${test.id}`);
    } catch (failed) {
      problem = problemText(failed);
    } finally {
      busy = false;
    }
  }
</script>

<h1 class="mt-6 mb-1">{t.paper.title(test.code)}</h1>
<p class="faded">{test.sample.name} · {method.name} · {test.vessel.name} · {format.temp(test.tempC)}</p>
<p class="no-print max-w-reading my-3">{t.paper.lead}</p>
<p class="mt-3 mb-5">
  {#if test.cylinder}
    {t.cylinder.set.soil(test.cylinder.facts.airDryG)}, {t.cylinder.set.dose(
      method.dispersant.mlPerL,
      method.dispersant.note
    )}, {t.cylinder.set.water(test.cylinder.facts.cylinderMl)}.
  {:else}
    {t.set.answerSoil(heightIn(test.vessel, test.soilMm, format))}, {t.set.water.toLowerCase()}
    {heightIn(test.vessel, test.waterMm, format)}, {test.dispersantMl > 0
      ? format.dose(test.dispersantMl)
      : t.set.answerNoDose}.
  {/if}
  {method.agitate.how}
  {t.set.markWindow(formatDuration(method.agitate.fromS), formatDuration(method.agitate.toS))}.
</p>

{#if stands}
  <p>{t.paper.stands} <a class="link" href="/tests/{test.id}">{test.code}</a></p>
{:else}
  <form onsubmit={keep} novalidate>
    <div class="max-w-narrow mb-5">
      <Field label={t.paper.setDown} error={errors.setDown}>
        {#snippet children(entry)}
          <MomentField {entry} bind:value={form.setDown} />
        {/snippet}
      </Field>
    </div>
    {#if readings.length > 0}
      <table class="plain max-w-[58rem]">
        <thead>
          <tr>
            <th scope="col">{t.cylinder.column.no}</th>
            <th scope="col">{t.paper.asked}</th>
            <th scope="col">{t.paper.after}</th>
            <th scope="col">{t.cylinder.column.value[tool]}</th>
            <th scope="col">{t.cylinder.column.temp}, °{format.profile.temperature}</th>
          </tr>
        </thead>
        <tbody>
          {#each readings as { no, askedS } (no)}
            <tr
              class="max-sm:grid max-sm:grid-cols-[1fr_1fr] max-sm:items-end max-sm:border-b max-sm:border-hair"
            >
              <th class="max-sm:col-span-full" scope="row">{no + 1}</th>
              <td>{formatTapeTime(askedS)}</td>
              {#each [{ key: 'after' as const, label: t.paper.afterReading(no + 1), hint: formatTapeTime(askedS) }, { key: 'value' as const, label: t.cylinder.valueOf(no + 1), hint: '' }, { key: 'temp' as const, label: t.cylinder.tempOf(no + 1), hint: '' }] as field (field.key)}
                <td>
                  <Field label={field.label} error={errors[`${field.key}-${no}`]}>
                    {#snippet children(entry)}
                      <input
                        {...entry}
                        class="input"
                        bind:value={form[field.key][no]}
                        placeholder={field.hint}
                      />
                    {/snippet}
                  </Field>
                </td>
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
    {:else if rows.length > 0}
      <table class="plain max-w-[58rem]">
        <thead>
          <tr>
            <th scope="col">{t.jar.marks}</th>
            <th scope="col">{t.paper.asked}</th>
            <th scope="col">{t.paper.after}</th>
            <th scope="col">{t.jar.height}</th>
          </tr>
        </thead>
        <tbody>
          {#each rows as { mark, time } (mark.layer)}
            <tr
              class="max-sm:grid max-sm:grid-cols-[1fr_1fr] max-sm:items-end max-sm:border-b max-sm:border-hair"
            >
              <th class="max-sm:col-span-full" scope="row">{t.Layer[mark.layer]}</th>
              <td>{t.set.markWindow(formatDuration(mark.atS), formatDuration(markWindow(mark).untilS))}</td>
              <td>
                <Field
                  label={t.paper.afterOf(t.layer[mark.layer])}
                  hint={time?.value === undefined ? undefined : t.paper.means(formatDuration(time.value))}
                  error={errors[`after-${mark.layer}`]}
                >
                  {#snippet children(entry)}
                    <input
                      {...entry}
                      class="input"
                      bind:value={form.after[mark.layer]}
                      placeholder={formatTapeTime(mark.atS)}
                    />
                  {/snippet}
                </Field>
              </td>
              <td>
                <Field label={t.paper.heightOf(t.layer[mark.layer])} error={errors[`height-${mark.layer}`]}>
                  {#snippet children(entry)}
                    <input {...entry} class="input" bind:value={form.height[mark.layer]} placeholder={unit} />
                  {/snippet}
                </Field>
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    {:else}
      <p>{t.set.noMarks(method.end.note)}</p>
    {/if}
    <div class="blanks hidden" aria-hidden="true">
      {#each blanks as blank (blank)}<span>{blank}</span>{/each}
    </div>
    {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
    <div class="row-of-actions no-print mt-6">
      <button class="btn btn-primary" disabled={busy}>{t.paper.keep}</button>
      <button type="button" class="btn btn-secondary" onclick={() => print()}>{t.paper.print}</button>
    </div>
  </form>
{/if}

<style>
  tbody th {
    color: var(--ink);
    font-weight: 700;
    font-size: var(--text-base);
    vertical-align: baseline;
    border-bottom: var(--line) solid var(--hair);
  }
  /* On a desk the heads of the columns say it; on a phone there are none. */
  @media (min-width: 641px) {
    td :global(.field > label) {
      position: absolute;
      clip-path: inset(50%);
    }
  }
  @media print {
    .blanks {
      display: grid;
      gap: 9mm;
      margin-top: 10mm;
    }
    .blanks span {
      border-bottom: var(--line) solid black;
      padding-bottom: 1mm;
    }
    :global(.input)::placeholder,
    .blank {
      color: transparent;
    }
    td {
      height: 13mm;
    }
  }
  @media (max-width: 640px) {
    thead,
    tbody td:nth-child(2) {
      display: none;
    }
    tbody th,
    tbody td {
      border: 0;
    }
  }
</style>
