import { eq } from 'drizzle-orm';
import { figuresOf, judgeBore, ORGANIC_UNKNOWN } from '../../core/index.ts';
import type { Payload } from '../../contract/commands.ts';
import type { KeptVerdict } from '../../contract/records/judgement.ts';
import { judgedBed, soilForBore, soilOf, soilTyped, type SoilInHand } from '../../workbench/act.ts';
import { groundOf } from '../../workbench/holes.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader } from '../db.ts';
import { added, removed } from '../events.ts';
import { keptTest } from '../kept.ts';
import { CommandProblem, found, ranged } from '../problem.ts';
import { holesOf } from '../repositories/holes.ts';
import { profilesOf } from '../repositories/profiles.ts';
import { judgement } from '../schema.ts';
import type { Service } from './service.ts';

/** The soil that a judgement is of, and the area it is from. */
async function soilFor(
  db: Reader,
  { testId, typed, ask }: Payload<'judgement.keep'>
): Promise<{ soil: SoilInHand; areaId: string | null; code: string | null }> {
  if (typed) {
    const sum = typed.sand + typed.silt + typed.clay;
    if (Math.abs(sum - 100) > 1) {
      const message = refusals.samples.reportNotHundred;
      throw new CommandProblem(message, { typed: message });
    }
    return { soil: soilTyped(typed), areaId: null, code: null };
  }
  const one = await keptTest(db, testId);
  if (!one)
    throw new CommandProblem(refusals.judgements.notFinished, { testId: refusals.judgements.notFinished });
  const of = ask === 'bore' ? soilForBore : soilOf;
  const soil = of(one.kept.snapshot, one.detail.sample.details);
  if (!soil) throw new CommandProblem(refusals.judgements.noSoil, { testId: refusals.judgements.noSoil });
  return { soil, areaId: one.detail.sample.areaId, code: one.detail.code };
}

/** That of a list which a command names. */
function named<P extends { id: string }>(offered: readonly P[], id: string, field: string): P {
  const one = offered.find((p) => p.id === id);
  if (!one)
    throw new CommandProblem(refusals.judgements.noProfile, { [field]: refusals.judgements.noProfile });
  return one;
}

/** Keeps a judgement as it stands now: what changes later, of the soil or of the profile, leaves it as it is. */
export const keepJudgement: Service<'judgement.keep'> = async ({ db, at, now }, p) => {
  const { soil, areaId, code } = await soilFor(db, p);
  const { fractions, basis, onlySand, ribbonMm } = soil;
  const set = named(await profilesOf(db, 'figures'), p.figuresKey, 'figuresKey');
  const { id, version, name } = set;
  const by = { id, version, name, figures: figuresOf(set) };
  const head = {
    soil: fractions,
    basis,
    by,
    ...(ribbonMm === undefined ? {} : { ribbonMm }),
    ...(onlySand ? { onlySand } : {})
  };
  let kept: KeptVerdict;
  if (p.ask === 'bore') {
    const line = p.linePct ?? by.figures.boreLinePct;
    const { holds: _, ...verdict } = judgeBore(soil, { ...by.figures, boreLinePct: line });
    kept = { ...head, ask: 'bore', line, verdict };
  } else {
    const profile = named(await profilesOf(db, 'bed'), p.bedKey, 'bedKey');
    const ground = (areaId ? groundOf((await holesOf(db, { areaId })).holes, now) : undefined) ?? null;
    const organic = p.organicPct === null ? ORGANIC_UNKNOWN : { pct: p.organicPct, sd: 0 };
    const { holds: _, ...judged } = ranged(() => judgedBed(soil, { profile, organic, ground }));
    kept = { ...head, ask: 'bed', organic, ground, ...judged };
  }
  const row = { id: p.judgementId, testId: p.testId, query: p.query, kept, createdAt: at };
  return { testId: p.testId, detail: { code, ask: p.ask }, changes: [added('judgement', row)] };
};

export const removeJudgement: Service<'judgement.remove'> = async ({ db }, { judgementId }) => {
  const [row] = await db.select().from(judgement).where(eq(judgement.id, judgementId));
  const gone = found(row, 'This judgement');
  return { testId: gone.testId, changes: [removed('judgement', gone)] };
};
