import { readNumber, type LengthUnit } from '../../core/index.ts';
import type { TableRecord } from './text.ts';

/** What a column can be. What is none of them may be kept as a note. */
export const TABLE_FIELDS = [
  'name',
  'theirs',
  'site',
  'area',
  'takenOn',
  'depth',
  'depthFrom',
  'depthTo',
  'sand',
  'silt',
  'clay',
  'gravel',
  'total',
  'method',
  'by',
  'purpose',
  'note'
] as const;
export type TableField = (typeof TABLE_FIELDS)[number];

export const TABLE_FIGURES = ['percent', 'fraction', 'thickness', 'tops'] as const;
export const DECIMALS = ['point', 'comma'] as const;
export const DAY_ORDERS = ['ymd', 'dmy', 'mdy'] as const;

/** How a table is read. */
export type Matching = {
  /** The row that names the columns, counted from 1; 0 where none does. */
  head: number;
  /** What each column is; empty for one that is left out. */
  fields: (TableField | '')[];
  /** What its figures of layers are: percent, parts of one, how thick each layer is, or how high its top stands. */
  figures: (typeof TABLE_FIGURES)[number];
  /** Unit of heights, and of depths, where none is written. */
  unit: LengthUnit;
  depthUnit: LengthUnit;
  decimals: (typeof DECIMALS)[number];
  days: (typeof DAY_ORDERS)[number];
};

/** Words that name a field in the head of a table, in some languages. The first that fits wins. */
const NAMED: [TableField, RegExp][] = [
  [
    'depthFrom',
    /^(depth )?(from|top depth|upper( depth)?|von)( depth)?$|^(top|upper) (of )?(depth|horizon)$/
  ],
  [
    'depthTo',
    /^(depth )?(to|bottom depth|lower( depth)?|bis)( depth)?$|^(bottom|lower) (of )?(depth|horizon)$/
  ],
  ['depth', /\b(depth|tiefe|profondeur|profundidad)\b/],
  ['sand', /\b(sand|sable|arena|sandanteil)\b/],
  ['silt', /\b(silt|schluff|limon|limo)\b/],
  ['clay', /\b(clay|ton|argile|arcilla|lehm)\b/],
  ['gravel', /\b(gravel|stones?|kies|gravier|grava|skeleton)\b/],
  ['total', /\b(total|whole|sum|sediment|gesamt)\b/],
  ['takenOn', /\b(date|day|when|taken|sampled|set down|datum|fecha)\b/],
  ['site', /\b(site|farm|property|betrieb)\b/],
  ['area', /\b(area|field|bed|plot|block|paddock|schlag|parcelle|feld)\b/],
  ['theirs', /\b(id|no|nr|number|code|lab ?(no|id)|nummer)\b/],
  ['by', /\b(by|person|reader|who|tester|name of reader)\b/],
  ['method', /\b(method|methode|procedure|how)\b/],
  ['purpose', /\b(purpose|use|for)\b/],
  ['name', /\b(name|sample|soil|place|probe|echantillon|location|label|description|ort)\b/],
  ['note', /\b(notes?|remarks?|comments?|bemerkung|observations?|saw|seen|looks?)\b/]
];

/** A head as its words, without units and marks. */
const plainHead = (head: string): string =>
  head
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/\(.*?\)|\[.*?\]/g, ' ')
    .replace(/\b(mm|cm|pct|percent|in|inch(es)?)\b|%/g, ' ')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

const words = (head: string) => head.replace(/([a-z])([A-Z])/g, '$1 $2').replaceAll('_', ' ');

/** The unit that a head names, if any. */
function unitOf(head: string): LengthUnit | '%' | undefined {
  const text = words(head).toLowerCase();
  if (/%|\bpct\b|\bpercent\b|\bproz/.test(text)) return '%';
  const named = /\b(mm|cm|in|inch(?:es)?)\b|"/.exec(text)?.[0];
  if (!named) return undefined;
  return named === 'mm' || named === 'cm' ? named : 'in';
}

function fieldsOf(heads: readonly string[]): (TableField | '')[] {
  const taken = new Set<TableField>();
  return heads.map((head) => {
    const plain = plainHead(words(head));
    const field = NAMED.find(([name, named]) => named.test(plain) && !taken.has(name))?.[0];
    if (!field) return '';
    if (field !== 'note') taken.add(field);
    return field;
  });
}

/** A figure of a cell, whichever mark stands before its decimals; NaN where it is none. */
const figure = (cell: string | undefined): number => readNumber((cell ?? '').replace(/\s*%$/, ''));

/** What figures of layers are, by their head and by what they come to together. */
function figuresOf(
  heads: readonly string[],
  fields: readonly (TableField | '')[],
  rows: readonly string[][]
): Pick<Matching, 'figures'> & { unit?: LengthUnit } {
  const at = (['sand', 'silt', 'clay'] as const).map((field) => fields.indexOf(field));
  const units = at.filter((i) => i >= 0).map((i) => unitOf(heads[i] ?? ''));
  if (units.includes('%')) return { figures: 'percent' };
  const unit = units.find((one): one is LengthUnit => one !== undefined && one !== '%');
  const tops = at.some((i) => /\btop\b|\bline\b|\bheight to\b/.test(plainHead(words(heads[i] ?? ''))));
  const sets = rows
    .map((cells) => at.map((i) => (i < 0 ? NaN : figure(cells[i]))))
    .filter((set) => set.some((value) => !Number.isNaN(value)));
  const whole = sets.filter((set) => set.every((value) => !Number.isNaN(value)));
  const sum = (set: number[]) => set.reduce((total, value) => total + value, 0);
  const most = (fits: (set: number[]) => boolean) =>
    whole.length > 0 && whole.filter(fits).length >= 0.8 * whole.length;
  if (unit)
    return { figures: tops || most(([a, b, c]) => a <= b && b <= c && a < c) ? 'tops' : 'thickness', unit };
  if (most((set) => Math.abs(sum(set) - 100) <= 3)) return { figures: 'percent' };
  if (most((set) => Math.abs(sum(set) - 1) <= 0.03)) return { figures: 'fraction' };
  if (whole.length === 0) return { figures: 'percent' };
  if (tops || most(([a, b, c]) => a <= b && b <= c && a < c)) return { figures: 'tops' };
  return { figures: 'thickness' };
}

/** What stands before the decimals in most figures. */
function decimalsOf(rows: readonly string[][]): Matching['decimals'] {
  let [points, commas] = [0, 0];
  for (const cell of rows.flat()) {
    if (/^-?\d+\.\d+\s*%?$/.test(cell.trim())) points++;
    else if (/^-?\d+,\d+\s*%?$/.test(cell.trim())) commas++;
  }
  return commas > points ? 'comma' : 'point';
}

/** The order in which a table writes its days, and whether it says so. */
function dayOrderOf(cells: readonly string[]): { days: Matching['days']; sure: boolean } {
  const all = cells.flatMap((cell) => {
    const found = /^(\d{1,4})[-./](\d{1,2})[-./](\d{1,4})/.exec(cell.trim());
    return found ? [[found[1], Number(found[2]), cell] as const] : [];
  });
  // A day that begins with its year says nothing of those that do not.
  const parts = all.filter(([first]) => first.length < 4);
  if (parts.length === 0) return { days: all.length > 0 ? 'ymd' : 'dmy', sure: true };
  if (parts.some(([first]) => Number(first) > 12)) return { days: 'dmy', sure: true };
  if (parts.some(([, second]) => second > 12)) return { days: 'mdy', sure: true };
  return { days: 'dmy', sure: parts.some(([, , cell]) => /^\d+\./.test(cell.trim())) };
}

/** Whether a first row names columns: it holds no figure, and more than nothing. */
const isHead = (cells: readonly string[]): boolean =>
  cells.some((cell) => cell.trim() !== '') && cells.every((cell) => Number.isNaN(figure(cell)));

/**
 * What the columns of a table seem to be, from its head and its first rows.
 *
 * @param records the first, from the one that may name the columns
 * @param o.named the first names them, whatever it looks like; or none does; left out where that is to be seen
 * @param usual the unit of a bench, for heights that name none
 * @param o.titles what stands over the headings: a unit there counts
 * @returns the matching, and what of it is a guess that somebody should look at
 */
export function suggestMatching(
  records: readonly TableRecord[],
  usual: LengthUnit,
  { titles = [], named: isNamed }: { titles?: readonly string[]; named?: boolean } = {}
): { matching: Matching; unsure: ('figures' | 'unit' | 'days')[] } {
  const rows = records.map(({ cells }) => cells);
  const [first = []] = rows;
  const header = isNamed ?? isHead(first);
  const heads = header ? first : [];
  const body = header ? rows.slice(1) : rows;
  const width = Math.max(0, ...rows.map((cells) => cells.length));
  const named = fieldsOf(heads);
  const fields = Array.from({ length: width }, (_, i) => named[i] ?? '');
  const own = figuresOf(heads, fields, body);
  // A title says its unit in brackets; "in" is a word there.
  const bracketed = titles.map((title) => /[([][^)\]]*[)\]]/.exec(title)?.[0] ?? '');
  const titled = bracketed.map(unitOf).find((unit): unit is LengthUnit => unit !== undefined && unit !== '%');
  const found = own.figures === 'thickness' || own.figures === 'tops' ? { unit: titled, ...own } : own;
  const dayAt = fields.indexOf('takenOn');
  const { days, sure } = dayOrderOf(dayAt < 0 ? [] : body.map((cells) => cells[dayAt] ?? ''));
  const depthAt = fields.findIndex((field) => field === 'depth' || field === 'depthFrom');
  const depthUnit = unitOf(heads[depthAt] ?? '');
  const heights = found.figures === 'thickness' || found.figures === 'tops';
  return {
    matching: {
      head: header ? (records[0]?.no ?? 0) : 0,
      fields,
      figures: found.figures,
      unit: found.unit ?? usual,
      depthUnit: depthUnit && depthUnit !== '%' ? depthUnit : usual === 'in' ? 'in' : 'cm',
      decimals: decimalsOf(body),
      days
    },
    unsure: [
      ...(heights ? (['figures'] as const) : []),
      ...(heights && !found.unit ? (['unit'] as const) : []),
      ...(sure ? [] : (['days'] as const))
    ]
  };
}
