import { NO_FILTER } from '../workbench/filter.ts';
import { sampleReport, siteReport, testReport, type ReportFacts } from '../workbench/report/report.ts';
import type { Report } from '../workbench/report/types.ts';
import { workSheet } from '../workbench/working/sheet.ts';
import type { LogLine } from '../contract/records/log.ts';
import type { Profile } from '../words/profile.ts';
import { formatFor } from '../words/format.ts';
import type { Store } from './db.ts';
import { judgedBy } from '../workbench/judged-by.ts';
import { knownSoils } from './kept.ts';
import { shownTest } from './shown.ts';
import { allBlanks } from './repositories/blanks.ts';
import { holesOf } from './repositories/holes.ts';
import { judgementsOf } from './repositories/judgements.ts';
import { labReports } from './repositories/lab.ts';
import { eachLine, linesOfSample } from './repositories/log.ts';
import { usualFigures } from './repositories/profiles.ts';
import { sampleById, samplesByIds } from './repositories/samples.ts';
import { siteDetail, siteOfArea } from './repositories/sites.ts';
import { trialsOf } from './repositories/trials.ts';

export const REPORTED = ['test', 'sample', 'site'] as const;
export type Reported = (typeof REPORTED)[number];

type Asked = { profile: Profile; zone: string; now: number };

async function byOf({ db }: Store, { profile, zone, now }: Asked) {
  const letterhead = profile.letterhead.split('\n').filter((line) => line.trim() !== '');
  return { format: formatFor(profile, zone), letterhead, now, figures: await usualFigures(db) };
}

/** A report of a test, a sample or a site, in the units of the reader; undefined where there is nothing to report. */
export async function reportOf(
  store: Store,
  kind: Reported,
  id: string,
  asked: Asked
): Promise<Report | undefined> {
  const { db } = store;
  const by = await byOf(store, asked);
  if (kind === 'test') {
    const test = await shownTest(db, id);
    const sheet = test && workSheet(test, await allBlanks(db), by.format);
    return sheet && testReport(sheet, by);
  }
  if (kind === 'sample') {
    const sample = await sampleById(db, id);
    if (!sample) return undefined;
    const site = sample.areaId ? await siteOfArea(db, sample.areaId) : undefined;
    const facts = await factsOf(store, [id], await linesOfSample(store, id));
    return sampleReport({ ...facts, sample, site }, by);
  }
  const site = await siteDetail(db, id);
  if (!site) return undefined;
  const lines: LogLine[] = [];
  const shown = { text: '', filter: { ...NO_FILTER, siteId: id } };
  for await (const some of eachLine(store, 'kept', { asked: shown })) lines.push(...some);
  const sampleIds = site.areas.flatMap((area) => area.samples.map((sample) => sample.id));
  const facts = await factsOf(store, sampleIds, lines);
  const areaIds = new Set(site.areas.map((area) => area.id));
  const { holes } = await holesOf(db, { all: true });
  return siteReport({ ...facts, site, holes: holes.filter((hole) => areaIds.has(hole.areaId)) }, by);
}

async function factsOf(store: Store, sampleIds: string[], lines: LogLine[]): Promise<ReportFacts> {
  const { db } = store;
  const samples = await samplesByIds(db, sampleIds);
  const known = await knownSoils(db, samples);
  return {
    lines,
    samples,
    judged: samples.flatMap(({ id, code }) => {
      const of = known.get(id);
      const by = of && judgedBy(of);
      return by ? [{ code, by }] : [];
    }),
    judgements: await judgementsOf(db, { testIds: lines.map((line) => line.id) }),
    trials: (await trialsOf(db, { sampleIds })).trials,
    labs: await labReports(db, sampleIds)
  };
}
