import {
  formatWeight,
  type JarAnswer,
  classifyTexture,
  cylinderWorking,
  isShare,
  readableCurve,
  type WorkedCylinder,
  type WorkedReadings,
  type Fractions
} from '../../core/index.ts';
import { toCylinderInput } from '../../contract/cylinder.ts';
import type { BlankRecord } from '../../contract/records/jar.ts';
import type { TestDetail } from '../../contract/records/result.ts';
import { resultOf, type JarInForce } from '../result.ts';
import type { WorkSheet, WorkTable } from './types.ts';
import { readingRows, workedSoFar, type WorkedSoFar } from './readings.ts';
import type { JarFact } from '../../contract/records/jar.ts';
import type { Format } from '../../words/format.ts';
import {
  answerChance,
  answerHeadline,
  asReadText,
  byMassText,
  chanceLine,
  headline,
  shareText,
  wholeShares
} from '../../words/headline.ts';
import { doubtText } from '../../words/doubts.ts';
import { t } from '../../words/index.ts';
import { usedWords } from '../used.ts';
import { curveFigure, triangleFigure } from './figures.ts';
import { asReadTable, formulasTable, marksTable, massTable, readingsTable } from './tables.ts';

/** What both kinds of test begin with: by which method, and since when. */
function opening(test: TestDetail, format: Format): string {
  const run = test.run ?? test.runs.at(-1);
  const method = t.jar.byMethod(test.method.name, test.methodVersion);
  if (!run) return method;
  return `${method}. ${run.stood ? t.stands.about[run.stood] : t.jar.setDownAt(format.full(run.setDownAt))}`;
}

const footOf = (test: TestDetail, format: Format): string => {
  const kept = resultOf(test)?.kept;
  return t.work.foot(kept ? t.test.kept(format.full(kept.at), kept.coreVersion) : t.work.openYet);
};

/** How it was filled, as far as somebody measured it; what was taken for granted says so. */
function filledAs(test: TestDetail, format: Format): string {
  const known = (fact: JarFact) => !test.notMeasured.includes(fact);
  const dose = test.dispersantMl > 0 ? t.work.dose(format.dose(test.dispersantMl)) : t.work.noDose;
  const { dispersant: told, ...done } = test.used;
  return [
    test.vessel.name,
    ...(known('soilMm') ? [t.work.sample(format.length(test.soilMm))] : []),
    ...(test.weighed ? [t.work.weighedSoil(formatWeight(test.weighed.grams))] : []),
    ...(known('waterMm') ? [t.work.waterAt(format.length(test.waterMm))] : []),
    (known('tempC') ? t.work.warmth : t.work.warmthTaken)(format.temp(test.tempC)),
    ...(known('dispersantMl') ? [told ? usedWords({ dispersant: told }).join() : dose] : []),
    ...usedWords(done)
  ].join(', ');
}

function jarSheet(test: TestDetail, { snapshot, reading, ...kept }: JarInForce, format: Format): WorkSheet {
  const { result, answer, mass, entry } = snapshot;
  const run = kept.run ?? test.runs.at(-1);
  const facts = [opening(test, format), filledAs(test, format)];
  if (reading) {
    const when = format.full(reading.at);
    facts.push(entry.by ? t.work.readBy(entry.by, when) : t.work.readOn(when));
  }
  const byMarks = mass?.working?.basis === 'marks';
  const tables: WorkTable[] = run && run.marks.length > 0 ? [marksTable(test, run, format, !byMarks)] : [];
  if (isShare(result)) {
    return {
      title: t.work.title(test.code, test.sample.name),
      facts,
      result: shareText(result),
      under: result.orMore
        ? [t.result.shareOverWhy]
        : [
            `${t.work.quotient(format.length(result.partMm, 1), format.length(result.totalMm, 1))} = ${result.pct.toFixed(1)} %`,
            t.result.shareOf
          ],
      tables,
      notes: result.orMore ? [] : [t.result.shareWorking(result.sd.toFixed(1))],
      foot: footOf(test, format)
    };
  }
  const main = answer ?? result;
  if (answer) tables.push(answerTable(answer, result));
  tables.push(asReadTable(result, format));
  if (mass) {
    tables.push({
      title: t.work.byMass,
      head: [t.mass.part, t.mass.byHeight, t.mass.byMass, t.work.error],
      rows: (['sand', 'silt', 'clay'] as const).map((layer) => [
        t.Layer[layer],
        `${result.fractions[layer].toFixed(1)} %`,
        `${mass.fractions[layer].toFixed(1)} %`,
        mass.sd[layer].toFixed(1)
      ]),
      numbers: [1, 2, 3]
    });
    if (mass.working) tables.push(massTable(mass.working, format));
  }
  return {
    title: t.work.title(test.code, test.sample.name),
    facts,
    result: answer ? answerHeadline(answer) : headline(result.class.name, result.fractions),
    under: [
      ...(snapshot.doubts ?? []).map((doubt) => doubtText(doubt)),
      answer ? answerChance(answer) : chanceLine(result.class.name, result.probability, 'reading'),
      ...(answer ? [asReadText(result.fractions)] : []),
      ...(mass ? [t.work.alsoByMass(headline(mass.class.name, mass.fractions))] : []),
      ...(result.calibrated
        ? [t.result.calibrated(result.calibrated.pairs, ...inTurn(result.calibrated.asRead))]
        : [])
    ],
    triangle: triangleFigure(main.fractions, 'usda', main.class.id),
    tables,
    notes: [
      ...(entry.rulerZero ? [t.result.workingBase(format.length(test.vessel.baseThicknessMm, 1))] : []),
      ...(entry.sumNote ? [`${t.read.sumNote}: ${entry.sumNote}`] : []),
      t.result.workingHeight,
      ...(answer ? [byMassText(result.fractions, answer.fractions)] : []),
      ...(answer ? [t.answer.model] : []),
      ...(mass ? [t.mass.basis[mass.basis], t.mass.simple] : []),
      t.result.workingClass
    ],
    foot: footOf(test, format)
  };
}

/** The answer beside the heights as read. */
const answerTable = (answer: JarAnswer, read: { fractions: Fractions }): WorkTable => ({
  title: t.answer.title,
  head: [t.mass.part, t.mass.byHeight, t.mass.byMass, t.work.error],
  rows: (['sand', 'silt', 'clay'] as const).map((layer) => [
    t.Layer[layer],
    `${read.fractions[layer].toFixed(1)} %`,
    `${answer.fractions[layer].toFixed(1)} %`,
    answer.sd[layer].toFixed(1)
  ]),
  numbers: [1, 2, 3]
});

const inTurn = (f: Fractions): [number, number, number] => {
  const { sand, silt, clay } = wholeShares(f);
  return [sand, silt, clay];
};
const sharesLine = (f: Fractions): string => t.mass.shares(...inTurn(f));

function cylinderSheet(
  test: TestDetail,
  blanks: readonly BlankRecord[],
  format: Format
): WorkSheet | undefined {
  const kept = resultOf(test);
  const own = kept?.kind === 'cylinder' ? kept.snapshot : undefined;
  const blank = blanks.find((b) => b.id === test.cylinder?.blankId);
  const run = test.run ?? test.runs.at(-1);
  const input = own?.input ?? toCylinderInput(test, run, blank);
  const worked = furthest(workedSoFar(input));
  if (!input || !worked) return undefined;
  const { facts } = input;
  const tool = input.scheme === 'pipette' ? 'pipette' : 'hydrometer';
  const answer = 'fractions' in worked ? worked : undefined;
  const named = answer && classifyTexture('usda', answer.fractions);
  const curve = answer && readableCurve(answer);
  return {
    title: t.work.title(test.code, test.sample.name),
    facts: [
      opening(test, format),
      t.work.weighed(
        String(facts.airDryG),
        tool === 'pipette' ? test.vessel.name : t.cylinder.bulbName[facts.bulb]
      ),
      ...(tool === 'hydrometer'
        ? [blank && input.blanks.length > 0 ? t.work.blank(blank.name) : t.work.noBlank]
        : [])
    ],
    result: own
      ? answerHeadline(own.result)
      : named
        ? named.name[0].toUpperCase() + named.name.slice(1)
        : t.cylinder.wanting,
    under: answer
      ? [own ? answerChance(own.result, 'instrument') : sharesLine(answer.fractions), t.work.byMassUnder2]
      : [],
    ...(answer && named ? { triangle: triangleFigure(answer.fractions, 'usda', named.id) } : {}),
    ...(curve ? { figures: [curveFigure(curve, 'usda')] } : {}),
    tables: [
      readingsTable(readingRows(test.method, run ?? null, worked, undefined), facts, tool),
      formulasTable(cylinderWorking(input, worked))
    ],
    notes: input.blanks.length > 0 ? [t.cylinder.noDouble] : [],
    foot: footOf(test, format)
  };
}

/** The working of a test for paper; undefined while there is nothing to work out. */
export function workSheet(
  test: TestDetail,
  blanks: readonly BlankRecord[],
  format: Format
): WorkSheet | undefined {
  if (test.cylinder) return cylinderSheet(test, blanks, format);
  const kept = resultOf(test);
  return kept?.kind === 'jar' ? jarSheet(test, kept, format) : undefined;
}

/** As far as the readings go: the answer, or each reading for itself. */
const furthest = ({ worked, readings }: WorkedSoFar): WorkedCylinder | WorkedReadings | undefined =>
  worked ?? readings;
