import {
  classifyTexture,
  isShare,
  type ShareResult,
  namedChances,
  roundShares,
  type Chances,
  type CylinderResult,
  verdictOf,
  type Fractions,
  type JarAnswer,
  type JarResult,
  type Verdict,
  type SystemId
} from '../core/index.ts';
import { t } from './index.ts';

/** English. A result in words, the same on pages, paper, lists and the record. */

const PARTS = ['sand', 'silt', 'clay'] as const;
const SPACE = '\u00a0';

/** Sand, silt and clay in whole percents that come to a hundred. */
export function wholeShares(f: Fractions): Fractions {
  const [sand, silt, clay] = roundShares(PARTS.map((part) => f[part]));
  return { sand, silt, clay };
}

/** `48 % sand, 32 % silt, 20 % clay`. */
export function sharesText(f: Fractions): string {
  const whole = wholeShares(f);
  return PARTS.map((part) => `${whole[part]}${SPACE}% ${t.layer[part]}`).join(', ');
}

/**
 * The result in one line, the largest share first.
 * @example headline('clay', { sand: 18, silt: 32, clay: 50 }) // 'Clay soil: 50 % clay, 32 % silt, 18 % sand'
 */
export function headline(className: string, fractions: Fractions): string {
  const whole = wholeShares(fractions);
  const parts = [...PARTS].sort((a, b) => whole[b] - whole[a] || PARTS.indexOf(a) - PARTS.indexOf(b));
  const name = `${className[0].toUpperCase()}${className.slice(1)}`;
  return `${name} soil: ${parts.map((part) => `${whole[part]}${SPACE}% ${part}`).join(', ')}`;
}

/** A soil by its shares: the class that they lie in, and the shares. */
export const soilText = (f: Fractions): string => `${headline(classifyTexture('usda', f).name, f)}.`;

/** What happened to a jar between its heights and its mass: of the share that moved most. */
export function byMassText(read: Fractions, mass: Fractions): string {
  const [heights, weights] = [wholeShares(read), wholeShares(mass)];
  const by = (part: (typeof PARTS)[number]) => weights[part] - heights[part];
  const most = PARTS.reduce((a, b) => (Math.abs(by(b)) > Math.abs(by(a)) ? b : a));
  return t.result.byMass(t.layer[most], weights[most], Math.abs(by(most)), by(most) > 0);
}

/** Heights as they were read, in shares, and the class that somebody who goes by heights would say. */
export function asReadText(read: Fractions): string {
  const { sand, silt, clay } = wholeShares(read);
  return t.answer.asRead(sand, silt, clay, classifyTexture('usda', read).name);
}

/** A chance as a percentage; near certainty is not rounded up to it, and what is not known is said to be so. */
export function chanceText(probability: number | null): string {
  if (probability === null) return 'not known';
  if (probability < 0.01) return `under${SPACE}1${SPACE}%`;
  return probability > 0.99 ? `over${SPACE}99${SPACE}%` : `${Math.round(probability * 100)}${SPACE}%`;
}

/** What the chance of a class counts: the ruler alone, or the ruler and how layers pack and settle. */
export type ChanceOf = 'reading' | 'shares' | 'mass';

const COUNTED: Record<ChanceOf, string> = {
  reading: 'how far the lines may be misread, and nothing else',
  shares: 'that each share may be off by some five points, and nothing else',
  mass: 'how far the lines may be misread, and how layers pack and settle'
};

/**
 * The class with its chance, and what the chance is made of.
 * @example chanceLine('clay', 0.83, 'reading') // 'The class is clay with 83 %. That counts how far the lines ...'
 */
export function chanceLine(className: string, probability: number | null, of: ChanceOf): string {
  if (probability === null) return `The lines are too unsure to say how likely the class ${className} is.`;
  return `The class is ${className} with ${chanceText(probability)}: that counts ${COUNTED[of]}.`;
}

/**
 * The class of an answer, or its two, and that of the point which is said beside them where that is another: then each with its
 * chance, for the likeliest class need not be that of the mean.
 */
function classNames(
  { classes, fractions }: Chances & Pick<JarAnswer, 'fractions'>,
  verdict: Verdict
): string {
  const named = verdict.kind === 'two' ? [verdict.first, verdict.next] : [verdict.first];
  const point = classifyTexture('usda', wholeShares(fractions));
  if (named.some((one) => one.id === point.id)) {
    return named.map((one) => one.name).reduce((a, b) => t.answer.or(a, b));
  }
  const own = classes.find((one) => one.id === point.id) ?? { ...point, probability: 0 };
  return [...named, own]
    .map(({ name, probability }) => t.answer.withChance(name, chanceText(probability)))
    .reduce((a, b) => t.answer.or(a, b));
}

/** The answer in one line: a class, one of two, or that it is not known yet; with its shares. */
export function answerHeadline(answer: Chances & Pick<JarAnswer, 'fractions'>): string {
  const verdict = verdictOf(answer);
  if (verdict.kind === 'impossible') return t.answer.impossible;
  if (verdict.kind !== 'unknown') return headline(classNames(answer, verdict), answer.fractions);
  const { sand, silt, clay } = wholeShares(answer.fractions);
  return t.answer.unknown(sand, silt, clay);
}

/**
 * How sure an answer is: the class with its chance, and the next with its own.
 * @param by what it was read with: its chance counts other errors
 */
export function answerChance(answer: Chances, by: 'jar' | 'instrument' = 'jar'): string {
  const verdict = verdictOf(answer);
  const { first, next } = verdict;
  if (verdict.kind === 'impossible') return t.answer.impossibleWhy;
  if (verdict.kind === 'unknown') return t.answer.noClass(first.name, chanceText(first.probability));
  if (verdict.kind === 'two')
    return t.answer.two(
      chanceText(verdict.together),
      first.name,
      chanceText(first.probability),
      verdict.next.name,
      chanceText(verdict.next.probability)
    );
  const nextText =
    next && next.probability >= 0.005 ? t.answer.next(next.name, chanceText(next.probability)) : '';
  return `${t.answer.one(first.name, chanceText(first.probability), nextText)} ${t.answer.counts[by]}`;
}

/** What chances under a system come to, in its words; undefined where there are none. */
export function verdictUnder(
  system: SystemId,
  probabilities: Record<string, number>,
  fit: JarAnswer['fit'] = []
): Verdict | undefined {
  const classes = namedChances(system, probabilities).map((c) => ({ ...c, name: className(system, c.name) }));
  return classes.length > 0 ? verdictOf({ classes, fit }) : undefined;
}

/** The likeliest class of a jar that stands, with its chance, in a few words; nothing where none is known yet. */
export function soFarShort(answer: Chances): string {
  const { kind, first } = verdictOf(answer);
  const known = kind === 'one' || kind === 'two';
  return t.answer.soFarShort(
    known ? `${first.name}, ${chanceText(first.probability)}` : t.answer.soFarNothing
  );
}

/**
 * The class in a list, with its chance: one of two where both together are the truth, none where none is known yet.
 * @example classChance('clay', 0.83) // 'clay, class 83 %'
 */
export function classChance(
  className: string,
  probability: number | null,
  verdict: Verdict | null = null
): string {
  const [name, rest] = classParts(className, probability, verdict);
  return name + rest;
}

/** The same in two parts: the name, and what is said of it. */
export function classParts(
  className: string,
  probability: number | null,
  verdict: Verdict | null
): [name: string, rest: string] {
  if (verdict?.kind === 'two') {
    const { first, next, together } = verdict;
    return [t.answer.or(first.name, next.name), t.answer.short.two(chanceText(together))];
  }
  if (verdict?.kind === 'impossible') return [t.answer.short.impossible, ''];
  if (verdict?.kind === 'unknown') {
    const { name, probability: chance } = verdict.first;
    return [t.answer.short.unknown, t.answer.short.likeliest(name, chanceText(chance))];
  }
  const [name, chance] = verdict ? [verdict.first.name, verdict.first.probability] : [className, probability];
  return [name, chance === null ? '' : t.answer.short.one(chanceText(chance))];
}

/**
 * A class in the words of its system: the groups of FAO are textures; the rest are soils by name, or letters.
 * @example className('fao', 'medium fine') // 'medium fine texture'
 */
export function className(system: SystemId, name: string): string {
  return system === 'fao' ? `${name} texture` : name;
}

/** A kept result in one line: the class with its shares, or the one share that was read alone. */
export function resultHeadline(result: JarResult | CylinderResult): string {
  if (result.kind === 'cylinder' || !isShare(result)) return headline(result.class.name, result.fractions);
  return shareText(result);
}

/** The one share that was read alone, or that it is over so much. */
export function shareText({ layer, pct, orMore }: Pick<ShareResult, 'layer' | 'pct' | 'orMore'>): string {
  const percent = t.common.percent(Math.round(Math.min(100, Math.max(0, pct))));
  return orMore ? t.result.shareOver(t.layer[layer], percent) : t.result.share(t.layer[layer], percent);
}

/** The same beside other figures. */
export function shareShort({ layer, pct, orMore }: Pick<ShareResult, 'layer' | 'pct' | 'orMore'>): string {
  const percent = t.common.percent(Math.round(pct));
  return orMore
    ? t.result.shareOverShort(percent, t.layer[layer])
    : t.result.shareShort(percent, t.layer[layer]);
}
