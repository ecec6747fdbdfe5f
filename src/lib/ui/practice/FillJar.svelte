<!-- @component What goes into a jar to practise on: soil, vessel, water, warmth, dispersant, shaking, and what is to go wrong. -->
<script lang="ts">
  import { page } from '$app/state';
  import {
    classifyTexture,
    jarOfSettings,
    known,
    MISHAPS,
    roundShares,
    SLIPS_OF_SETTING,
    type Wrong
  } from '$lib/core';
  import { formatFor } from '$lib/words/format';
  import { t } from '$lib/words';
  import Choice from '../fields/Choice.svelte';
  import Field from '../fields/Field.svelte';
  import Slide from '../kit/Slide.svelte';
  import KnowTriangle from '../know/KnowTriangle.svelte';
  import VesselDrawing from '../vessel/VesselDrawing.svelte';
  import { usualFill, vesselOf, VESSELS, type Practised } from './settings';

  type Props = {
    settings: Practised;
    onchange: (settings: Practised) => void;
    onset: () => void;
  };
  let { settings, onchange, onset }: Props = $props();

  const w = t.practice.jar;
  /** Height of the jar that is being filled, px. */
  const DRAWN_PX = 210;
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const vessel = $derived(vesselOf(settings.vessel));
  const { jar } = $derived(jarOfSettings(settings, vessel));
  const set = (change: Partial<Practised>) => onchange({ ...settings, ...change });
  const own = $derived(classifyTexture('usda', settings.fractions));
  const shares = $derived(
    roundShares([settings.fractions.sand, settings.fractions.silt, settings.fractions.clay])
  );
  const wrongs = [
    ...SLIPS_OF_SETTING.map((key) => ({ key: key as Wrong, name: w.presets[key] })),
    ...MISHAPS.map((key) => ({ key: key as Wrong, name: w.mishaps[key] }))
  ];
  function turnVessel(id: string) {
    const next = known(
      VESSELS.find((v) => v === id),
      'it is one of the list'
    );
    set({ vessel: next, ...usualFill(next) });
  }
  const turnWrong = (key: Wrong, on: boolean) =>
    set({ wrong: on ? [...settings.wrong, key] : settings.wrong.filter((one) => one !== key) });
</script>

<div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-8 gap-y-5 items-start max-md:grid-cols-1">
  <div class="grid gap-4 content-start">
    <Choice
      label={w.soil}
      value={settings.hidden === undefined ? 'chosen' : 'hidden'}
      options={[
        { value: 'chosen', label: w.soilChosen },
        { value: 'hidden', label: w.soilHidden }
      ]}
      onchange={(v) => set({ hidden: v === 'hidden' ? 1 + Math.floor(Math.random() * 1e6) : undefined })}
    />
    <div class="flex flex-wrap items-end gap-x-6 gap-y-4">
      <VesselDrawing
        {vessel}
        scale={DRAWN_PX / vessel.innerHeightMm}
        code={settings.hidden === undefined ? 'P' : '?'}
        soilMm={jar.soilMm}
        waterMm={jar.waterMm}
        tapeRoom={0}
        lid={false}
      />
      {#if settings.hidden === undefined}
        <div class="w-[340px] max-w-full">
          <KnowTriangle
            system="usda"
            point={settings.fractions}
            classId={own.id}
            dots={[]}
            label={w.triangle}
            value="{t.know.at(String(shares[0]), String(shares[1]), String(shares[2]))}, {own.name}"
            onhover={() => {}}
            onmove={(fractions) => set({ fractions })}
            onpick={() => {}}
            onback={() => {}}
          />
        </div>
      {/if}
    </div>
    <p class="tabular-nums max-w-reading">
      {settings.hidden === undefined
        ? `${t.know.at(String(shares[0]), String(shares[1]), String(shares[2]))}, ${own.name}`
        : w.hiddenNote}
    </p>
  </div>
  <div class="grid gap-3 content-start">
    <Field label={w.vessel}>
      {#snippet children(entry)}
        <select
          {...entry}
          class="select"
          value={settings.vessel}
          onchange={(e) => turnVessel(e.currentTarget.value)}
        >
          {#each VESSELS as id (id)}
            <option value={id}>{vesselOf(id).name}</option>
          {/each}
        </select>
      {/snippet}
    </Field>
    <Slide
      label={w.soilHeight(format.length(jar.soilMm))}
      value={settings.soilMm}
      min={5}
      max={Math.round(0.75 * vessel.shoulderHeightMm)}
      oninput={(soilMm) => set({ soilMm })}
    />
    <Slide
      label={w.waterHeight(format.length(jar.waterMm))}
      value={settings.waterMm}
      min={60}
      max={vessel.shoulderHeightMm}
      oninput={(waterMm) => set({ waterMm })}
    />
    <Slide
      label={w.temp(format.temp(jar.tempC))}
      value={settings.tempC}
      min={2}
      max={35}
      oninput={(tempC) => set({ tempC })}
    />
    <Slide
      label={w.shaken(settings.shakenMin)}
      value={settings.shakenMin}
      min={0}
      max={15}
      oninput={(shakenMin) => set({ shakenMin })}
    />
    <div class="flex flex-wrap gap-x-7 gap-y-3">
      <Choice
        label={w.dispersant}
        value={jar.dispersant ? 'with' : 'without'}
        options={[
          { value: 'with', label: w.with },
          { value: 'without', label: w.without }
        ]}
        onchange={(v) => set({ dispersant: v === 'with' })}
      />
      <Choice
        label={w.water}
        value={jar.hardWater ? 'hard' : 'soft'}
        options={[
          { value: 'soft', label: w.soft },
          { value: 'hard', label: w.hard }
        ]}
        onchange={(v) => set({ hardWater: v === 'hard' })}
      />
    </div>
    <fieldset class="group">
      <legend>{w.wrong}</legend>
      <div class="grid grid-cols-3 gap-x-5 gap-y-0 max-md:grid-cols-2">
        {#each wrongs as { key, name } (key)}
          <label class="flex items-center gap-3 min-h-touch cursor-pointer">
            <input
              type="checkbox"
              class="checkbox"
              checked={settings.wrong.includes(key)}
              onchange={(e) => turnWrong(key, e.currentTarget.checked)}
            />
            {name}
          </label>
        {/each}
      </div>
    </fieldset>
    <div class="pt-2"><button type="button" class="btn btn-primary" onclick={onset}>{w.setDown}</button></div>
  </div>
</div>
