import type { PayloadInput } from '$lib/contract/commands';
import type { SiteDetail, SpotRecord } from '$lib/contract/records/ground';
import type { TypedLength } from '$lib/contract/records/sample';

type End = 'depthFrom' | 'depthTo';

/** The outermost of the depths of all spots; where one has none noted nobody knows how deep the mix reaches. */
function outermost(spots: readonly SpotRecord[], end: End): TypedLength | undefined {
  const noted = spots.map((s) => s[end]).filter((d) => d !== null);
  if (noted.length === 0 || noted.length < spots.length) return undefined;
  return noted.reduce((a, b) => ((end === 'depthFrom' ? b.mm < a.mm : b.mm > a.mm) ? b : a));
}

/** The composite of every spot of an area that has been taken: it knows its spots, and from where to where they reach. */
export function composite(
  area: SiteDetail['areas'][number],
  sampleId: string,
  today: string
): PayloadInput<'sample.add'> {
  const taken = area.spots.filter((s) => s.takenAt !== null);
  const [depthFrom, depthTo] = [outermost(taken, 'depthFrom'), outermost(taken, 'depthTo')];
  return {
    sampleId,
    name: area.name,
    purpose: area.purpose,
    areaId: area.id,
    spotIds: taken.map((s) => s.id),
    details: { takenOn: today, ...(depthFrom ? { depthFrom } : {}), ...(depthTo ? { depthTo } : {}) }
  };
}
