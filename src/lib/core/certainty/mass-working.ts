import {
  CLAY_FLOOR_UM,
  CLAY_LIMIT_UM,
  DEFAULT_PACKING,
  settledShare,
  type Fractions
} from '../physics/bands.ts';
import type { Column } from '../physics/column.ts';
import type { Layers } from '../layers/layers.ts';
import { clayLoad, heightsPerLoad, mostThatMoves, type MassJar, type TimedHeight } from '../jar/mass.ts';

/** The estimate by mass line by line, with the numbers of the jar. */
export type MassWorking = {
  /** Share of the column that is solids at set-down, percent. */
  solidsPct: number;
  tempC: number;
  columnMm: number;
} & (
  | {
      basis: 'marks';
      /** Each mark: what has settled all the way by then, what each load adds to the height, and what was read, mm. */
      marks: { timeS: number; cutUm: number; addsMm: Fractions; sumMm: number; readMm: number }[];
    }
  | {
      basis: 'bands';
      /** Each band: thickness times packing is a load; of the clay, the share that should be down by then. */
      bands: {
        layer: 'sand' | 'silt' | 'clay';
        thickMm: number;
        packing: number;
        downPct: number;
        loadKgM2: number;
      }[];
    }
);

type From = { jar: MassJar; column: Column };

const common = ({ jar, column }: From) => ({
  solidsPct: 100 * column.phi0,
  tempC: jar.tempC,
  columnMm: jar.columnMm
});

const LAYERS = ['sand', 'silt', 'clay'] as const;

/**
 * Lines of an estimate from timed marks.
 *
 * @param loads sand, silt and clay, kg/m2
 */
export function workingOfMarks(
  from: From & { marks: readonly TimedHeight[]; fractions: Fractions; solidsKgM2: number }
): MassWorking {
  const load = (k: keyof Fractions) => (from.fractions[k] * from.solidsKgM2) / 100;
  return {
    ...common(from),
    basis: 'marks',
    marks: from.marks.map(({ timeS, heightMm }) => {
      const cutUm = from.column.cutUm(timeS);
      const per = heightsPerLoad(cutUm, from.jar);
      const addsMm = {
        sand: per[0] * load('sand'),
        silt: per[1] * load('silt'),
        clay: per[2] * load('clay')
      };
      return { timeS, cutUm, addsMm, sumMm: addsMm.sand + addsMm.silt + addsMm.clay, readMm: heightMm };
    })
  };
}

/** Lines of an estimate from bands read at the end. */
export function workingOfBands(from: From & { layers: Layers; endS: number; clear: boolean }): MassWorking {
  const packing = from.jar.packing ?? DEFAULT_PACKING;
  const clay = { fromUm: from.jar.clayFloorUm ?? CLAY_FLOOR_UM, toUm: CLAY_LIMIT_UM };
  const shareDown = from.clear ? 1 : settledShare(clay, from.column.cutUm(from.endS));
  const settled = LAYERS.map((layer) => (from.layers[`${layer}Mm`] * packing[layer]) / 1000);
  // What the fill leaves may be less than the clay scaled to what should be down.
  const down =
    settled[2] === 0
      ? shareDown
      : settled[2] / clayLoad(settled, shareDown, from.jar.fillKgM2 ?? mostThatMoves(from.jar));
  return {
    ...common(from),
    basis: 'bands',
    bands: LAYERS.map((layer) => {
      const thickMm = from.layers[`${layer}Mm`];
      const share = layer === 'clay' ? down : 1;
      return {
        layer,
        thickMm,
        packing: packing[layer],
        downPct: 100 * share,
        loadKgM2: (thickMm * packing[layer]) / 1000 / Math.max(share, 1e-6)
      };
    })
  };
}
