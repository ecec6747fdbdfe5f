import { z } from 'zod';

/** What an archive of a whole bench says of itself, the first of its files. */
export const archiveManifest = z
  .object({
    format: z.literal('tivrel.archive'),
    version: z.literal(1),
    madeAt: z.iso.datetime(),
    migrations: z.number().int().min(1).max(10_000).describe('how far the tables had come'),
    rows: z
      .record(z.string().regex(/^[a-z_]{1,40}$/), z.number().int().min(0))
      .describe('rows of each table'),
    pictures: z.number().int().min(0)
  })
  .describe(
    'The first file of an archive: a zip of rows/TABLE.jsonl (a row a line, columns by name), pictures/ID.jpg, tests.csv for people, and sums.json.'
  );
export type ArchiveManifest = z.output<typeof archiveManifest>;

/** The last of its files: the SHA-256 of each of the others, base64url. */
export const archiveSums = z.record(z.string(), z.string());

export const MANIFEST = 'tivrel-archive.json';
export const SUMS = 'sums.json';
export const TESTS_CSV = 'tests.csv';
export const READ_ME = 'README.txt';
const rowsFile = /^rows\/([a-z_]{1,40})\.jsonl$/;
const pictureFile = /^pictures\/([0-9A-Za-z-]{1,40})\.jpg$/;

export const rowsName = (table: string): string => `rows/${table}.jsonl`;
export const pictureName = (id: string): string => `pictures/${id}.jpg`;

/** What a file of an archive is, by its name; undefined for what stands in none. */
export function entryOf(
  name: string
):
  | { kind: 'manifest' | 'sums' | 'reading' }
  | { kind: 'rows'; table: string }
  | { kind: 'picture'; id: string }
  | undefined {
  if (name === MANIFEST) return { kind: 'manifest' };
  if (name === SUMS) return { kind: 'sums' };
  // For people: what stands in it stands in the rows too.
  if (name === TESTS_CSV || name === READ_ME) return { kind: 'reading' };
  const table = rowsFile.exec(name)?.[1];
  if (table) return { kind: 'rows', table };
  const id = pictureFile.exec(name)?.[1];
  return id ? { kind: 'picture', id } : undefined;
}

/** A row as a line of an archive: its columns in the order of their table. */
export type ArchiveRow = Record<string, string | number | null>;
export const lineOf = (row: ArchiveRow): string => `${JSON.stringify(row)}\n`;

export const READ_ME_TEXT = `This is a whole bench of Tivrel.

tivrel-archive.json  what it holds, and how far its tables had come
rows/*.jsonl         each table, a row a line, as JSON; times are ms UTC, lengths mm, temperatures degC
pictures/*.jpg       pictures, by their id
tests.csv            the log for a spreadsheet
sums.json            SHA-256 of each file, base64url

It is brought back under Profile, Copies of the record. Who may come in, and their passphrases, are no part of it.
`;
