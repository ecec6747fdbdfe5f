import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { createHash } from 'node:crypto';
import {
  lineOf,
  MANIFEST,
  pictureName,
  READ_ME,
  READ_ME_TEXT,
  rowsName,
  SUMS,
  TESTS_CSV,
  type ArchiveManifest,
  type ArchiveRow
} from './manifest.ts';

/** What an archive is made of, each part some at a time. */
export type ArchiveSource = {
  manifest: ArchiveManifest;
  rowsOf(table: string): AsyncIterable<ArchiveRow[]>;
  pictures(): AsyncIterable<{ id: string; bytes: Uint8Array }[]>;
  testsCsv(): AsyncIterable<string>;
};

/**
 * An archive as the bytes of a zip, some at a time: however much there is, no more is in memory.
 *
 * @param told how many rows and pictures are in
 */
export async function* archiveParts(
  source: ArchiveSource,
  told: (done: number) => void = () => {}
): AsyncGenerator<Uint8Array> {
  const ready: Uint8Array[] = [];
  const zip = new Zip((problem, bytes) => {
    if (problem) throw problem;
    ready.push(bytes);
  });
  const sums: Record<string, string> = {};
  let done = 0;
  const encoder = new TextEncoder();
  async function* file(
    name: string,
    parts: AsyncIterable<Uint8Array | string> | Iterable<Uint8Array | string>,
    stored = false
  ): AsyncGenerator<Uint8Array> {
    const entry = stored ? new ZipPassThrough(name) : new ZipDeflate(name, { level: 6 });
    zip.add(entry);
    const hash = createHash('sha256');
    for await (const part of parts) {
      const bytes = typeof part === 'string' ? encoder.encode(part) : part;
      hash.update(bytes);
      entry.push(bytes, false);
      yield* ready.splice(0);
    }
    entry.push(new Uint8Array(), true);
    sums[name] = hash.digest('base64url');
    yield* ready.splice(0);
  }
  async function* linesOf(table: string) {
    for await (const rows of source.rowsOf(table)) {
      yield rows.map(lineOf).join('');
      told((done += rows.length));
    }
  }
  yield* file(MANIFEST, [JSON.stringify(source.manifest, null, 1)]);
  yield* file(READ_ME, [READ_ME_TEXT]);
  yield* file(TESTS_CSV, source.testsCsv());
  for (const table of Object.keys(source.manifest.rows)) yield* file(rowsName(table), linesOf(table));
  for await (const some of source.pictures()) {
    // They are pressed already.
    for (const { id, bytes } of some) yield* file(pictureName(id), [bytes], true);
    told((done += some.length));
  }
  yield* file(SUMS, [JSON.stringify(sums, null, 1)]);
  zip.end();
  yield* ready.splice(0);
}
