import { eq } from 'drizzle-orm';
import {
  blendProblems,
  figuresOf,
  judgeBore,
  judgeBuckets,
  judgeTechnique,
  oneShare,
  SMEARED_OVER_PCT,
  signsOf,
  known,
  ORGANIC_UNKNOWN,
  solveBlend,
  wallFactProblems,
  type Figures,
  type TechniqueKept,
  type TechniqueSaid,
  type WallSoil
} from '../../core/index.ts';
import type { Payload } from '../../contract/commands.ts';
import type { KeptVerdict } from '../../contract/records/judgement.ts';
import { judgedBed, soilTyped, type SoilInHand } from '../../workbench/act.ts';
import { judgedBy } from '../../workbench/judged-by.ts';
import { batchOf, materialsOf, rowsOf } from '../../workbench/blend.ts';
import { groundOf } from '../../workbench/holes.ts';
import { wallSoilTyped } from '../../workbench/wall.ts';
import { t } from '../../words/index.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader } from '../db.ts';
import { added, removed } from '../events.ts';
import { keptTest, knownSoil, soilsOfBlend } from '../kept.ts';
import { beside, found, ranged, requireNone } from '../problem.ts';
import { holesOf } from '../repositories/holes.ts';
import { profilesOf } from '../repositories/profiles.ts';
import { judgement } from '../schema.ts';
import type { Service, Services } from './service.ts';

/** The soil that a judgement is of, and the area it is from. */
async function soilFor(
  db: Reader,
  { testId, typed, ask }: Payload<'judgement.keep'>
): Promise<{
  soil?: SoilInHand;
  wall?: WallSoil;
  areaId: string | null;
  code: string | null;
  source?: string;
}> {
  if (typed) {
    const sum = typed.sand + typed.silt + typed.clay;
    if (Math.abs(sum - 100) > 1) {
      throw beside('typed', refusals.samples.reportNotHundred);
    }
    const soil = soilTyped(typed);
    return { soil, wall: wallSoilTyped(soil), areaId: null, code: null };
  }
  const one = await keptTest(db, testId);
  if (!one) throw beside('testId', refusals.judgements.notFinished);
  const by = judgedBy(await knownSoil(db, one.detail.sample), one.detail.id);
  const soil = ask === 'bore' ? by?.bore : by?.soil;
  const wall = by?.wall;
  // A wall is judged by one share too, as far as it goes.
  if (!soil && !(ask === 'wall' && wall)) throw beside('testId', refusals.judgements.noSoil);
  const { areaId } = one.detail.sample;
  return { soil, wall, areaId, code: one.detail.code, source: by?.by.name };
}

/** What a verdict keeps of its soil. */
type KeptSoil = Pick<SoilInHand, 'fractions' | 'basis' | 'onlySand' | 'ribbonMm'> &
  Pick<KeptVerdict, 'onlyClay' | 'clayOver'>;

/** What is kept of a soil of which one share was read: the others are said to mean nothing. */
function shareOf({ only, smeared }: WallSoil): KeptSoil {
  const { layer, pct } = known(only, 'what has no soil has one share');
  const fractions = oneShare(layer, pct);
  const basis = 'read' as const;
  if (layer === 'sand') return { fractions, basis, onlySand: true };
  return { fractions, basis, onlyClay: true, ...(smeared ? { clayOver: SMEARED_OVER_PCT } : {}) };
}

/** That of a list which a command names. */
function named<P extends { id: string }>(offered: readonly P[], id: string, field: string): P {
  const one = offered.find((p) => p.id === id);
  if (!one) throw beside(field, refusals.judgements.noProfile);
  return one;
}

/** A bed and a bore were refused before where there is none. */
const soilAsked = (soil: SoilInHand | undefined): SoilInHand =>
  known(soil, 'a bed or a bore without a soil is refused');

const withoutDraws = ({ holds: _, ...said }: TechniqueSaid): TechniqueKept => said;

/** What a soil comes to for walls, by every technique as it is asked now, and by the mix that stands beside it. */
async function judgedWall(
  db: Reader,
  p: Payload<'judgement.keep'>,
  soil: WallSoil,
  name: string,
  by: Figures
) {
  const { signs: told = [], blend = null, ...typed } = p.wall ?? {};
  const signs = signsOf(soil, told);
  const facts = Object.fromEntries(Object.entries(typed).filter(([, value]) => value !== null)) as Partial<
    Pick<WallSoil, 'gravelPct' | 'stoneMm' | 'organicPct'>
  >;
  requireNone(wallFactProblems(facts));
  const judged: WallSoil = { ...soil, ...facts };
  const techniques = await profilesOf(db, 'technique');
  const said = techniques.flatMap((technique) => judgeTechnique(technique, judged) ?? []);
  const { gravelPct, stoneMm, organicPct } = judged;
  const kept = {
    ask: 'wall' as const,
    facts: {
      gravelPct,
      ...(stoneMm === undefined ? {} : { stoneMm }),
      ...(organicPct === undefined ? {} : { organicPct })
    },
    signs,
    said: said.map(withoutDraws)
  };
  if (!blend) return kept;
  const technique = named(techniques, blend.techniqueKey, 'wall');
  const others = await soilsOfBlend(db, blend.materials);
  const materials = materialsOf(rowsOf(blend.materials), { own: judged, name, others }, technique.on, by).map(
    (m) => m.material
  );
  const buckets = batchOf(blend.batch, by);
  const [wrong] = blendProblems({ materials, buckets });
  if (wrong) throw beside('wall', wrong.message);
  const solved = blend.buckets ? undefined : solveBlend({ technique, materials, buckets });
  const whole = blend.buckets ?? (solved?.kind === 'blend' ? solved.buckets : undefined);
  const mixed = whole && judgeBuckets(technique, materials, whole);
  if (solved?.kind === 'none') {
    const blocks = solved.blocks.map((window) => window.of);
    const { missing } = solved;
    const names = materials.map((m) => m.name);
    const noBlend = { materials: names, technique: technique.name, blocks, ...(missing ? { missing } : {}) };
    return { ...kept, noBlend };
  }
  if (!whole || !mixed) return kept;
  const parts = materials.flatMap((m, i) => (whole[i] > 0 ? [{ ...m, buckets: whole[i] }] : []));
  return { ...kept, blend: { parts, shares: mixed.shares, said: withoutDraws(mixed.said) } };
}

/** Keeps a judgement as it stands now: what changes later, of the soil or of the profile, leaves it as it is. */
const keepJudgement: Service<'judgement.keep'> = async ({ db, at, now }, p) => {
  const { soil, wall, areaId, code, source } = await soilFor(db, p);
  const { fractions, basis, onlySand, onlyClay, clayOver, ribbonMm } =
    (soil as KeptSoil | undefined) ?? shareOf(known(wall, 'what has no soil has a wall'));
  const set = named(await profilesOf(db, 'figures'), p.figuresKey, 'figuresKey');
  const { id, version, name } = set;
  const by = { id, version, name, figures: figuresOf(set) };
  const head = {
    soil: fractions,
    basis,
    ...(source === undefined ? {} : { source }),
    by,
    ...(ribbonMm === undefined ? {} : { ribbonMm }),
    ...(onlySand ? { onlySand } : {}),
    ...(onlyClay ? { onlyClay } : {}),
    ...(clayOver === undefined ? {} : { clayOver })
  };
  let kept: KeptVerdict;
  if (p.ask === 'wall') {
    if (!wall) throw beside('testId', refusals.judgements.noSoil);
    kept = { ...head, ...(await judgedWall(db, p, wall, code ?? t.wall.blend.own, by.figures)) };
  } else if (p.ask === 'bore') {
    const line = p.linePct ?? by.figures.boreLinePct;
    const { holds: _, ...verdict } = judgeBore(soilAsked(soil), { ...by.figures, boreLinePct: line });
    kept = { ...head, ask: 'bore', line, verdict };
  } else {
    const profile = named(await profilesOf(db, 'bed'), p.bedKey, 'bedKey');
    const ground = (areaId ? groundOf((await holesOf(db, { areaId })).holes, now) : undefined) ?? null;
    const organic = p.organicPct === null ? ORGANIC_UNKNOWN : { pct: p.organicPct, sd: 0 };
    const { holds: _, ...judged } = ranged(() => judgedBed(soilAsked(soil), { profile, organic, ground }));
    kept = { ...head, ask: 'bed', organic, ground, ...judged };
  }
  const row = { id: p.judgementId, testId: p.testId, query: p.query, kept, createdAt: at };
  return { testId: p.testId, detail: { code, ask: p.ask }, changes: [added('judgement', row)] };
};

const removeJudgement: Service<'judgement.remove'> = async ({ db }, { judgementId }) => {
  const [row] = await db.select().from(judgement).where(eq(judgement.id, judgementId));
  const gone = found(row, 'This judgement');
  return { testId: gone.testId, changes: [removed('judgement', gone)] };
};

export const judgementServices = {
  'judgement.keep': keepJudgement,
  'judgement.remove': removeJudgement
} satisfies Partial<Services>;
