import { ulid } from 'ulid';
import type { PayloadInput } from '$lib/contract/commands';
import type { Sketch } from '$lib/contract/records/ground';
import { isInside } from '$lib/core';
import type { FoundGround } from '$lib/formats/geojson';
import { t } from '$lib/words';

/** Reads areas and spots from a GeoJSON file; the reader is fetched with the first file. */
export async function readGround(
  file: File,
  earth: Sketch['earth']
): Promise<{ found?: FoundGround; problem?: string }> {
  const { GEOJSON_MOST, GeoJsonError, groundFromGeoJson } = await import('$lib/formats/geojson');
  if (file.size > GEOJSON_MOST) return { problem: t.ground.fileTooLarge };
  try {
    return { found: groundFromGeoJson(await file.text(), earth, 'garden', isInside) };
  } catch (failed) {
    if (!(failed instanceof GeoJsonError)) throw failed;
    return { problem: failed.message };
  }
}

/** The command that brings found areas and spots onto a site, each under an id of its own. */
export function importOf(siteId: string, found: FoundGround): PayloadInput<'ground.import'> {
  const ids = new Map(found.areas.map((a) => [a.ref, ulid()]));
  const depth = (mm: number | null) => (mm === null ? null : { mm, text: `${mm} mm` });
  return {
    siteId,
    earth: found.earth,
    areas: found.areas.map(({ ref, outline, ...area }) => ({
      ...area,
      areaId: ids.get(ref) ?? ulid(),
      outline: outline.map(([x, y]): [number, number] => [x, y])
    })),
    spots: found.spots.flatMap(({ areaRef, depthFromMm, depthToMm, place: [x, y], note }) => {
      const areaId = ids.get(areaRef);
      const depths = { depthFrom: depth(depthFromMm), depthTo: depth(depthToMm) };
      return areaId ? [{ spotId: ulid(), areaId, place: [x, y] as [number, number], ...depths, note }] : [];
    })
  };
}
