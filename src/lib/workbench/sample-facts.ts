import { gravellyName, gravelVolumePct } from '../core/index.ts';
import type { SiteDetail } from '../contract/records/ground.ts';
import type { SampleRecord } from '../contract/records/sample.ts';
import { t } from '../words/index.ts';
import type { Format } from '../words/format.ts';

function gravelText({ amount, unit: of, whole }: NonNullable<SampleRecord['details']['gravel']>): string {
  if (!whole) return `${amount} ${of}`;
  const pct = gravelVolumePct({ amount, whole, unit: of });
  return t.sample.gravelShare(
    `${amount} ${of}`,
    `${whole} ${of}`,
    Math.round(pct),
    gravellyName('', pct).trim()
  );
}

/** How a sample was taken and made ready, each fact by its name; what nobody noted is left out. @param site that its area lies on */
export function sampleFacts(
  sample: SampleRecord,
  site: SiteDetail | undefined,
  format: Format
): [name: string, value: string][] {
  const area = site?.areas.find((a) => a.id === sample.areaId);
  const d = sample.details;
  const w = t.sample.fields;
  const depth = [d.depthFrom, d.depthTo].filter((l) => l !== undefined).map((l) => format.length(l.mm));
  const nos = area?.spots.filter((s) => sample.spotIds.includes(s.id)).map((s) => s.no) ?? [];
  return [
    [w.area, area && site && `${area.name}, ${site.name}`],
    [w.spots, nos.join(', ')],
    [w.takenOn, d.takenOn && format.dayOf(d.takenOn)],
    [w.depth, depth.join(' – ')],
    [w.dried, d.driedH === undefined ? '' : t.sample.hours(d.driedH)],
    [w.sieve, d.sieve && format.length(d.sieve.mm, 1)],
    [w.gravel, d.gravel && gravelText(d.gravel)],
    [w.takenOut, d.takenOut],
    [w.look, d.look],
    [w.note, sample.note]
  ].filter((fact): fact is [string, string] => Boolean(fact[1]));
}
