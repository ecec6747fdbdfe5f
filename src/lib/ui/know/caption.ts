import { classifyTexture, textureSystems, type Fractions, type SystemId } from '$lib/core';
import { t } from '$lib/words';
import { className } from '$lib/words/headline';

/** A soil as shares to a tenth. */
const percentages = (f: Fractions) => t.know.at(f.sand.toFixed(1), f.silt.toFixed(1), f.clay.toFixed(1));

/** What stands under a triangle that is saved as a picture: what it shows, what its marks mean, and by which system. */
export function knowCaption(o: {
  system: SystemId;
  /** The soil in hand, and what it is called. */
  point?: Fractions;
  name: string;
  /** Tests that are shown, and all there are. */
  counts: [shown: number, all: number];
  tinted: boolean;
  arrows: boolean;
  day: string;
}): { legend: string[]; source: string } {
  const { system, point } = o;
  const { name, source } = textureSystems[system];
  const marks = [
    t.know.legend.dots,
    ...(point ? [t.know.legend.point] : []),
    ...(o.tinted ? [t.know.legend.tint] : []),
    ...(o.arrows ? [t.know.legend.arrows] : [])
  ];
  return {
    legend: [
      point
        ? `${o.name}: ${percentages(point)}, ${className(system, classifyTexture(system, point).name)}`
        : t.know.shown(...o.counts),
      marks.join('. ')
    ],
    source: t.saving.source(`${name} (${source})`, o.day)
  };
}
