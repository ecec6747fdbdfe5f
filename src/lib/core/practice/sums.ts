import jsep from 'jsep';

/** A side of an equation as somebody typed it, read. */
export type Side = {
  value: number;
  /** Whether it stands in percent. */
  percent: boolean;
  /** Half of its last digit, where it is a plain number; nothing else is rounded. */
  rounding: number;
  /** What is divided by what in it. */
  divisions: { over: number; under: number }[];
  /** What is added up in it, two or more. */
  added?: number[];
  /** Every number in it. */
  numbers: number[];
};

/** A line of a calculation: what stands before it, and its sides. */
export type SumLine = { label: string; sides: Side[] };

const UNITS = /\b(?:mm|cm|inches|inch|in|percent|pct|points?)\b|["″]/gi;
const LABEL = /^\s*([A-Za-z][A-Za-z ()-]*?)\s*(?:[:=]\s*|\s+(?=[\d(.\u00bc-\u00be\u2150-\u215e]))/;

/** What people write, in the signs that a computer reads: vulgar fractions, mixed numbers, crosses, decimal commas. */
function plainSigns(text: string, inFractions: boolean): string {
  const part = (whole: string, over: string, under: string) =>
    `(${Number(whole) + Number(over) / Number(under)})`;
  return text
    .replace(
      /(\d)?([\u00bc-\u00be\u2150-\u215e])/g,
      (_, before: string | undefined, sign: string) =>
        `${before ?? ''} ${sign.normalize('NFKD').replace('\u2044', '/')}`
    )
    .replace(/(\d+)[ -](\d+)\/(2|4|8|16|32)\b/g, (_, whole: string, over: string, under: string) =>
      part(whole, over, under)
    )
    .replace(/\b(\d+)\/(2|4|8|16|32)\b/g, (found, over: string, under: string) =>
      inFractions && Number(over) < Number(under) ? part('0', over, under) : found
    )
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/[×·]|(?<=[\d)\s])x(?=[\d(\s])/g, '*')
    .replace(/÷|(?<=\d\s*):(?=\s*\d)/g, '/')
    .replace(/[−–]/g, '-');
}

function read(node: jsep.Expression, side: Omit<Side, 'value' | 'percent' | 'rounding'>): number {
  if (node.type === 'Literal' && typeof node.value === 'number') {
    side.numbers.push(node.value);
    return node.value;
  }
  if (node.type === 'UnaryExpression') {
    const { operator, argument } = node as jsep.UnaryExpression;
    if (operator === '-') return -read(argument, side);
    if (operator === '+') return read(argument, side);
  }
  if (node.type === 'BinaryExpression') {
    const { operator, left, right } = node as jsep.BinaryExpression;
    const [a, b] = [read(left, side), read(right, side)];
    if (operator === '+') return a + b;
    if (operator === '-') return a - b;
    if (operator === '*') return a * b;
    if (operator === '/') {
      side.divisions.push({ over: a, under: b });
      return a / b;
    }
  }
  throw new SyntaxError('not a sum');
}

/** What is added up at the top of an expression; two or more. */
function addends(node: jsep.Expression): jsep.Expression[] {
  if (node.type !== 'BinaryExpression' || (node as jsep.BinaryExpression).operator !== '+') return [node];
  const { left, right } = node as jsep.BinaryExpression;
  return [...addends(left), ...addends(right)];
}

function sideOf(text: string): Side {
  const percent = /%/.test(text);
  const plain = text.replace(/%/g, '').trim();
  const tree = jsep(plain);
  const parts = { divisions: [], numbers: [] };
  const value = read(tree, parts);
  const added = addends(tree);
  const written = /^\d+(?:\.(\d+))?$/.exec(plain);
  return {
    value,
    percent,
    rounding: written ? 0.5 * 10 ** -(written[1]?.length ?? 0) : 0,
    ...parts,
    added: added.length > 1 ? added.map((one) => read(one, { divisions: [], numbers: [] })) : undefined
  };
}

/**
 * Reads a line such as `sand: 20 / 40 = 0,5 x 100 = 50 %`.
 *
 * @param inFractions whether 3/8 stands for a length and is no division
 * @returns undefined for what is no calculation
 */
export function readSum(line: string, inFractions = false): SumLine | undefined {
  const found = LABEL.exec(line);
  const label = found ? found[1].trim().toLowerCase() : '';
  const rest = plainSigns((found ? line.slice(found[0].length) : line).replace(UNITS, ' '), inFractions);
  try {
    const sides = rest
      .split('=')
      .filter((side) => side.trim() !== '')
      .map(sideOf);
    return sides.length > 0 && sides.every((side) => Number.isFinite(side.value))
      ? { label, sides }
      : undefined;
  } catch {
    return undefined;
  }
}
