/** What is shown of all tests; empty for everything. Of the triangle the first four. */
export type KnowFilter = { siteId: string; areaId: string; year: string; methodKey: string };
export type LogFilter = KnowFilter & {
  className: string;
  purpose: string;
  status: string;
  /** `yes` for those that something stands against, or that cannot be shown. */
  trouble: string;
  /** The table that they came in with. */
  importId: string;
  /** Who did something with them, or read them. */
  person: string;
};

/** Something to choose from, by its name. */
export type Choice = { value: string; label: string };
/** What there is to choose from for each field. */
export type KnowChoices = Record<keyof KnowFilter, Choice[]>;
export type LogChoices = Record<Exclude<keyof LogFilter, 'trouble'>, Choice[]>;

const KNOW_NAMES: Record<keyof KnowFilter, string> = {
  siteId: 'site',
  areaId: 'area',
  year: 'year',
  methodKey: 'method'
};
const LOG_NAMES: Record<keyof LogFilter, string> = {
  ...KNOW_NAMES,
  className: 'class',
  purpose: 'purpose',
  status: 'status',
  trouble: 'trouble',
  importId: 'table',
  person: 'person'
};

/** Fields of which one of several is chosen, in the order in which they are asked; `person` is found in another way. */
export const CHOSEN = [
  'siteId',
  'areaId',
  'year',
  'methodKey',
  'className',
  'purpose',
  'status',
  'importId'
] as const satisfies readonly (keyof LogFilter)[];

const keysOf = <F extends object>(names: Record<keyof F, string>) => Object.keys(names) as (keyof F)[];

function read<F extends object>(names: Record<keyof F, string>, asked: URLSearchParams): F {
  const values = keysOf<F>(names).map((key) => [key, (asked.get(names[key]) ?? '').slice(0, 100)]);
  return Object.fromEntries(values) as F;
}

function write<F extends Record<keyof F, string>>(names: Record<keyof F, string>, filter: F) {
  return keysOf<F>(names).flatMap((key): [string, string][] =>
    filter[key] ? [[names[key], filter[key]]] : []
  );
}

/** The filter that an address asks for, and the part of an address that asks for it. */
export const readKnowFilter = (asked: URLSearchParams): KnowFilter => read<KnowFilter>(KNOW_NAMES, asked);
export const writeKnowFilter = (filter: KnowFilter) => write(KNOW_NAMES, filter);
export const readLogFilter = (asked: URLSearchParams): LogFilter => read<LogFilter>(LOG_NAMES, asked);
export const writeLogFilter = (filter: LogFilter) => write(LOG_NAMES, filter);

/** Names of the filters in an address. */
export const LOG_FILTER_NAMES: string[] = Object.values(LOG_NAMES);

export const NO_FILTER: LogFilter = readLogFilter(new URLSearchParams());

/** How many of its fields narrow what is shown. */
export const narrowedBy = (filter: object): number => Object.values(filter).filter(Boolean).length;
