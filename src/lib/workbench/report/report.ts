import type { Figures } from '../../core/index.ts';
import type { SiteDetail } from '../../contract/records/ground.ts';
import type { HoleRecord } from '../../contract/records/hole.ts';
import type { JudgementRecord } from '../../contract/records/judgement.ts';
import type { LogLine } from '../../contract/records/log.ts';
import type { LabReport, SampleRecord } from '../../contract/records/sample.ts';
import type { TrialRecord } from '../../contract/records/trial.ts';
import type { Format } from '../../words/format.ts';
import { classChance, wholeShares } from '../../words/headline.ts';
import { judgedText } from '../../words/judged.ts';
import { replicateText } from '../../words/replicates.ts';
import { mixLine, saysShort } from '../../words/trial.ts';
import { keptLine } from '../../words/verdict.ts';
import { t } from '../../words/index.ts';
import { viewHole } from '../holes.ts';
import type { JudgedBy } from '../judged-by.ts';
import { replicatesOf } from '../replicates.ts';
import { sampleFacts } from '../sample-facts.ts';
import { viewTrial } from '../trials.ts';
import { sketchFigure, soilsFigure } from '../working/figures.ts';
import type { WorkSheet } from '../working/types.ts';
import type { Report, ReportPart } from './types.ts';

const w = t.report;
/** So many tests stand in a report: the newest. */
const TESTS_MOST = 300;
/** So many dots can be told apart by their names. */
const DOTS_MOST = 60;

/** What is on record of a site or a sample, for a report. */
export type ReportFacts = {
  lines: LogLine[];
  samples: SampleRecord[];
  /** What each sample is judged by, where something is on record. */
  judged: { code: string; by: JudgedBy }[];
  judgements: JudgementRecord[];
  trials: TrialRecord[];
  labs: LabReport[];
};
type By = { format: Format; letterhead: readonly string[]; now: number; figures: Figures };

const opening = (by: By) => ({
  letterhead: by.letterhead,
  foot: `${w.foot} ${w.made(by.format.full(by.now))}.`
});

/** A test as it is handed in: its working, under the letterhead. */
export function testReport(sheet: WorkSheet, by: By): Report {
  const { title, facts, result, under, triangle, tables, figures = [], notes } = sheet;
  return {
    ...opening(by),
    title,
    facts,
    result,
    under,
    ...(triangle ? { figure: triangle } : {}),
    parts: [
      ...tables.slice(0, 1).map((table) => partOf(table)),
      ...figures.map((figure) => ({ title: '', lines: [], figures: [figure] })),
      ...tables.slice(1).map((table) => partOf(table)),
      { title: w.sure, lines: notes }
    ],
    cautions: [w.general],
    foot: `${sheet.foot} ${w.made(by.format.full(by.now))}.`
  };
}

const partOf = ({ title = '', ...table }: WorkSheet['tables'][number]): ReportPart => ({
  title,
  lines: [],
  table
});

/** A sample: how it was taken, its tests, what was made of it. */
export function sampleReport(
  { sample, site, ...facts }: ReportFacts & { sample: SampleRecord; site: SiteDetail | undefined },
  by: By
): Report {
  return {
    ...opening(by),
    title: w.ofSample(sample.code, sample.name),
    facts: [t.purpose[sample.purpose], w.counts(0, 1, facts.lines.length)],
    under: [],
    parts: [
      {
        title: w.taken,
        lines: sampleFacts(sample, site, by.format).map(([name, value]) => `${name}: ${value}`)
      },
      ...commonParts(facts, by)
    ].filter(isSaid),
    cautions: cautionsOf(facts, [sample.purpose])
  };
}

/** A site: its sketch, areas, samples, tests on the triangle, verdicts, holes, pieces, how it was done, how sure. */
export function siteReport(
  { site, holes, ...facts }: ReportFacts & { site: SiteDetail; holes: HoleRecord[] },
  by: By
): Report {
  const figure = sketchFigure(site);
  return {
    ...opening(by),
    title: w.ofSite(site.name),
    facts: [w.counts(site.areas.length, facts.samples.length, facts.lines.length)],
    under: [],
    parts: [
      { title: w.sketch, lines: [], figures: figure ? [figure] : [] },
      areasPart(site, facts),
      samplesPart(site, facts, by),
      ...commonParts(facts, by),
      holesPart(holes, by)
    ].filter(isSaid),
    cautions: cautionsOf(
      facts,
      site.areas.map((area) => area.purpose),
      holes.length > 0
    )
  };
}

const isSaid = ({ lines, table, figures }: ReportPart) =>
  lines.length > 0 || (table?.rows.length ?? 0) > 0 || (figures?.length ?? 0) > 0;

/** A day stays on one line. */
const whole = (day: string) => day.replaceAll(' ', '\u00a0');

const className = (line: LogLine) =>
  line.class === null
    ? (line.problem ?? t.status[line.status])
    : classChance(line.class, line.probability, line.verdict) + (line.doubtful ? `, ${t.log.doubtful}` : '');

function areasPart(site: SiteDetail, { lines, samples }: ReportFacts): ReportPart {
  const rows = site.areas.map((area) => {
    const own = samples.filter((sample) => sample.areaId === area.id);
    const ids = new Set(own.map((sample) => sample.id));
    const newest = lines.find((line) => ids.has(line.sampleId) && line.class !== null);
    return [
      `${area.code} ${area.name}`,
      t.purpose[area.purpose],
      own.map((sample) => sample.code).join(', '),
      newest ? `${newest.code}: ${className(newest)}` : w.noTest
    ];
  });
  return { title: w.areas, lines: [], table: { head: w.areasHead, rows, numbers: [] } };
}

/** Each sample, where it was dug and how deep, when, and what it went through. */
function samplesPart(site: SiteDetail, { samples }: ReportFacts, { format }: By): ReportPart {
  const rows = samples.map(({ code, name, areaId, details: { takenOn, depthFrom, depthTo, sieve } }) => [
    code,
    name,
    site.areas.find((area) => area.id === areaId)?.name ?? '',
    takenOn ? whole(format.dayOf(takenOn)) : '',
    [depthFrom, depthTo].flatMap((end) => (end ? [format.length(end.mm)] : [])).join(' – '),
    sieve ? format.length(sieve.mm, 1) : ''
  ]);
  return { title: w.samples, lines: [], table: { head: w.samplesHead, rows, numbers: [] } };
}

function commonParts(facts: ReportFacts, by: By): ReportPart[] {
  return [
    testsPart(facts, by),
    trianglePart(facts),
    labPart(facts, by),
    verdictsPart(facts, by),
    piecesPart(facts, by),
    howPart(facts, by),
    surePart(facts)
  ];
}

/** Where several things say something of a sample, which of them rules. */
const rulingLines = ({ judged }: ReportFacts): string[] =>
  judged
    .filter(({ by }) => by.others.length > 0 || by.by.kind === 'laboratory')
    .slice(0, TESTS_MOST)
    .map(({ code, by }) => `${code}: ${judgedText(by)}`);

function testsPart(facts: ReportFacts, { format }: By): ReportPart {
  const { lines } = facts;
  const rows = lines.slice(0, TESTS_MOST).map((line) => {
    const { sand, silt, clay } = line;
    const shares = silt === null ? undefined : wholeShares({ sand: sand ?? 0, silt, clay: clay ?? 0 });
    const share = (layer: 'sand' | 'silt' | 'clay') => {
      const alone = line[layer];
      if (shares) return `${shares[layer]} %`;
      if (layer === 'clay' && line.clayOver !== undefined) return `> ${line.clayOver} %`;
      return alone === null ? '' : `${Math.round(alone)} %`;
    };
    return [
      line.code,
      line.sampleName,
      line.methodName,
      line.setDownAt === null ? '' : whole(format.day(line.setDownAt)),
      share('sand'),
      share('silt'),
      share('clay'),
      className(line)
    ];
  });
  const left = lines.length - rows.length;
  return {
    title: w.tests,
    lines: [...rulingLines(facts), ...(left > 0 ? [w.more(rows.length, left)] : [])],
    table: { head: w.testsHead, rows, numbers: [4, 5, 6] }
  };
}

function trianglePart({ lines }: ReportFacts): ReportPart {
  const soils = lines.flatMap(({ code, class: name, sand, silt, clay }) =>
    name !== null && sand !== null && silt !== null && clay !== null
      ? [{ name: code, fractions: { sand, silt, clay } }]
      : []
  );
  if (soils.length === 0) return { title: w.triangle, lines: [] };
  return { title: w.triangle, lines: [], figures: [soilsFigure(soils.slice(0, DOTS_MOST), 'usda')] };
}

const labPart = ({ labs }: ReportFacts, { format }: By): ReportPart => ({
  title: w.lab,
  lines: [],
  table: {
    head: w.labHead,
    rows: labs.map(({ lab, reportedOn, sand, silt, clay }) => [
      lab,
      reportedOn ? whole(format.dayOf(reportedOn)) : '',
      ...[sand, silt, clay].map((pct) => `${pct} %`)
    ]),
    numbers: [2, 3, 4]
  }
});

const verdictsPart = ({ judgements }: ReportFacts, { format }: By): ReportPart => ({
  title: w.verdicts,
  lines: [],
  table: {
    head: w.verdictHead,
    rows: judgements.map(({ createdAt, code, kept }) => [
      whole(format.day(createdAt)),
      code ?? w.elsewhere,
      keptLine(kept)
    ]),
    numbers: []
  }
});

const piecesPart = ({ trials }: ReportFacts, { figures, now }: By): ReportPart => ({
  title: w.pieces,
  lines: [],
  table: {
    head: w.piecesHead,
    rows: trials.map((trial) => [
      trial.code,
      trial.sampleName,
      mixLine(trial),
      saysShort(viewTrial(trial, figures, now).tells)
    ]),
    numbers: []
  }
});

function holesPart(holes: readonly HoleRecord[], { format, now }: By): ReportPart {
  const rows = holes.map((hole) => {
    const { outcome } = viewHole(hole, now);
    const said =
      outcome &&
      [
        (outcome.kind === 'measured' ? t.hole.result : t.hole.atMost)[outcome.drainage.class],
        hole.soakedAt === null ? t.hole.unsoakedShort : ''
      ]
        .filter(Boolean)
        .join('. ');
    return [
      hole.code,
      t.hole.measures(format.length(hole.depth.mm), format.length(hole.width.mm)),
      said ?? w.holeOpen
    ];
  });
  return { title: w.holes, lines: [], table: { head: w.holesHead, rows, numbers: [] } };
}

function howPart({ lines, samples }: ReportFacts, { format }: By): ReportPart {
  const counts = new Map<string, number>();
  for (const { methodName } of lines) counts.set(methodName, (counts.get(methodName) ?? 0) + 1);
  const temps = lines.flatMap((line) => line.tempC ?? []);
  const sieves = [...new Set(samples.flatMap(({ details }) => details.sieve?.mm ?? []))].sort(
    (a, b) => a - b
  );
  return {
    title: w.how,
    lines: [
      ...[...counts].map(([name, n]) => w.methods(name, n)),
      ...(temps.length > 0
        ? [
            `${t.set.temperature}: ${[...new Set([Math.min(...temps), Math.max(...temps)])].map(format.temp).join(' – ')}`
          ]
        : []),
      ...(sieves.length > 0
        ? [`${t.sample.fields.sieve}: ${sieves.map((mm) => format.length(mm, 1)).join(', ')}`]
        : [])
    ]
  };
}

function surePart({ lines, samples }: ReportFacts): ReportPart {
  if (lines.length === 0) return { title: w.sure, lines: [] };
  const beside = samples.flatMap(({ id }) => replicatesOf(lines.filter((line) => line.sampleId === id)));
  return { title: w.sure, lines: [...w.sureLines, ...beside.map(replicateText)] };
}

/** Each caution once, where what it is about stands in the report. */
function cautionsOf(
  { trials }: ReportFacts,
  purposes: readonly SampleRecord['purpose'][],
  dug = false
): string[] {
  return [
    w.general,
    ...(purposes.includes('garden') ? [t.act.caution] : []),
    // That of the pieces says all that the wall's does.
    ...(purposes.includes('build') && trials.length === 0 ? [t.wall.caution] : []),
    ...(purposes.includes('bore') ? [t.act.bore.caution] : []),
    ...(trials.length > 0 ? [t.trial.caution] : []),
    ...(dug ? [t.hole.caution] : [])
  ];
}
