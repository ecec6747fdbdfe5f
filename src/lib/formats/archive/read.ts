import { Unzip, UnzipInflate, type UnzipFile } from 'fflate';
import { createHash, type Hash } from 'node:crypto';
import {
  archiveManifest,
  archiveSums,
  entryOf,
  MANIFEST,
  rowsName,
  SUMS,
  type ArchiveManifest,
  type ArchiveRow
} from './manifest.ts';
import { ArchiveProblem } from './problem.ts';

/** What a file of an archive may hold at most once it is unpacked, bytes; and all of it for each byte that was sent. */
const ARCHIVE_MOST = {
  line: 20_000_000,
  small: 8_000_000,
  picture: 15_000_000,
  ratio: 200,
  spare: 50_000_000
};

/** What is found in an archive, in the order it stands there. */
export type Found =
  | { manifest: ArchiveManifest }
  | { table: string; rows: ArchiveRow[] }
  | { picture: string; bytes: Uint8Array };

const value = (one: unknown): one is string | number | null =>
  one === null || typeof one === 'string' || (typeof one === 'number' && Number.isFinite(one));

function rowOf(line: string, table: string): ArchiveRow {
  let row: unknown;
  try {
    row = JSON.parse(line);
  } catch {
    row = undefined;
  }
  if (typeof row === 'object' && row !== null && !Array.isArray(row) && Object.values(row).every(value)) {
    return row as ArchiveRow;
  }
  throw new ArchiveProblem(`A row of ${table} in this archive cannot be read: it was changed or damaged.`);
}

function documentOf<T>(
  bytes: Uint8Array,
  schema: { safeParse(o: unknown): { success: boolean; data?: T } }
): T {
  try {
    const parsed = schema.safeParse(JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes)));
    if (parsed.success) return parsed.data as T;
  } catch {
    // Said below.
  }
  throw new ArchiveProblem(
    'This archive does not say what it holds: it was changed, or is of another program.'
  );
}

/** One file of the archive while it is unpacked. */
type Entry = {
  name: string;
  hash: Hash;
  bytes: number;
  done: boolean;
  take(chunk: Uint8Array, last: boolean): void;
};

/**
 * Reads an archive, some of it at a time. Nothing of it is believed: names, sizes, rows and sums are looked at as they come.
 *
 * @param parts the bytes of the file
 * @throws {ArchiveProblem} in a sentence; what was handed out before must then be thrown away
 */
export async function* readArchive(parts: AsyncIterable<Uint8Array>): AsyncGenerator<Found> {
  const found: Found[] = [];
  const entries = new Map<string, Entry>();
  let [sent, unpacked] = [0, 0];
  let manifest: ArchiveManifest | undefined;
  let sums: Record<string, string> | undefined;
  const unzip = new Unzip();
  unzip.register(UnzipInflate);

  const whole = (most: number, then: (bytes: Uint8Array) => void) => {
    const chunks: Uint8Array[] = [];
    let size = 0;
    return (chunk: Uint8Array, last: boolean) => {
      size += chunk.length;
      if (size > most) throw new ArchiveProblem('A file of this archive is far larger than any of a bench.');
      chunks.push(chunk);
      if (last) then(Buffer.concat(chunks));
    };
  };
  const rows = (table: string) => {
    const decoder = new TextDecoder();
    let rest = '';
    return (chunk: Uint8Array, last: boolean) => {
      const text = rest + decoder.decode(chunk, { stream: !last });
      const lines = text.split('\n');
      rest = lines.pop() ?? '';
      if (rest.length > ARCHIVE_MOST.line) {
        throw new ArchiveProblem(`A row of ${table} in this archive is far larger than any of a bench.`);
      }
      if (last && rest !== '') lines.push(rest);
      if (lines.length > 0) found.push({ table, rows: lines.map((line) => rowOf(line, table)) });
    };
  };
  const takerOf = (name: string): Entry['take'] => {
    const entry = entryOf(name);
    if (!entry)
      throw new ArchiveProblem(`This archive holds ${shown(name)}, which no archive of a bench does.`);
    if (!manifest && entry.kind !== 'manifest') {
      throw new ArchiveProblem('This is no archive of a bench: it does not begin with what it holds.');
    }
    if (entry.kind === 'manifest') {
      return whole(ARCHIVE_MOST.small, (bytes) => {
        manifest = documentOf(bytes, archiveManifest);
        found.push({ manifest });
      });
    }
    if (entry.kind === 'sums') {
      return whole(ARCHIVE_MOST.small, (bytes) => (sums = documentOf(bytes, archiveSums)));
    }
    if (entry.kind === 'rows') return rows(entry.table);
    if (entry.kind === 'picture') {
      const { id } = entry;
      return whole(ARCHIVE_MOST.picture, (bytes) => found.push({ picture: id, bytes }));
    }
    return () => {};
  };
  unzip.onfile = (file: UnzipFile) => {
    if (entries.has(file.name)) throw new ArchiveProblem(`This archive holds ${shown(file.name)} twice.`);
    const entry: Entry = {
      name: file.name,
      hash: createHash('sha256'),
      bytes: 0,
      done: false,
      take: takerOf(file.name)
    };
    entries.set(file.name, entry);
    file.ondata = (problem, chunk, last) => {
      // What was refused below comes back here by way of the library.
      if (problem) throw problem instanceof ArchiveProblem ? problem : damaged(problem);
      unpacked += chunk.length;
      if (unpacked > ARCHIVE_MOST.spare + ARCHIVE_MOST.ratio * sent) {
        throw new ArchiveProblem('This archive unpacks to far more than a bench would: it is not taken in.');
      }
      entry.hash.update(chunk);
      entry.take(chunk, last);
      entry.done = last;
    };
    file.start();
  };

  for await (const part of parts) {
    if (sent === 0 && !(part[0] === 0x50 && (part.length === 1 || part[1] === 0x4b))) {
      throw new ArchiveProblem('This is no archive of a bench: choose the zip that was saved here.');
    }
    sent += part.length;
    unpack(unzip, part, false);
    yield* found.splice(0);
  }
  unpack(unzip, new Uint8Array(), true);
  yield* found.splice(0);
  if (!manifest)
    throw new ArchiveProblem('This is no archive of a bench: choose the zip that was saved here.');
  requireWhole(manifest, sums, entries);
}

const damaged = (cause: unknown) =>
  new ArchiveProblem('This archive is damaged, or only half of it is there.', { cause });
const shown = (name: string) => `“${name.replaceAll(/\p{C}/gu, '').slice(0, 60)}”`;

function unpack(unzip: Unzip, part: Uint8Array, last: boolean): void {
  try {
    unzip.push(part, last);
  } catch (problem) {
    if (problem instanceof ArchiveProblem) throw problem;
    throw damaged(problem);
  }
}

/** Refuses an archive that is not all there, or of which a file is not as it was written. */
function requireWhole(
  manifest: ArchiveManifest,
  sums: Record<string, string> | undefined,
  entries: ReadonlyMap<string, Entry>
): void {
  const half = () => new ArchiveProblem('Only half of this archive is there. Save it or copy it once more.');
  if (!sums) throw half();
  for (const name of [MANIFEST, ...Object.keys(manifest.rows).map(rowsName)]) if (!sums[name]) throw half();
  for (const [name, sum] of Object.entries(sums)) {
    const entry = entries.get(name);
    if (!entry?.done) throw half();
    if (entry.hash.digest('base64url') !== sum) {
      throw new ArchiveProblem(
        `${shown(name)} in this archive is not as it was written: it was changed or damaged.`
      );
    }
  }
  for (const name of entries.keys()) {
    if (name !== SUMS && !sums[name])
      throw new ArchiveProblem(`This archive holds ${shown(name)} without its sum.`);
  }
  const pictures = [...entries.keys()].filter((name) => entryOf(name)?.kind === 'picture').length;
  if (pictures !== manifest.pictures) throw half();
}
