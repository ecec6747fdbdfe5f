import { expect } from 'chai';
import fc from 'fast-check';
import { Zip, ZipDeflate, zipSync, strToU8 } from 'fflate';
import { createHash } from 'node:crypto';
import type { ArchiveManifest, ArchiveRow } from '../../../src/lib/formats/archive/manifest.ts';
import { readArchive, type Found } from '../../../src/lib/formats/archive/read.ts';
import { archiveParts, type ArchiveSource } from '../../../src/lib/formats/archive/write.ts';

type Bench = { tables: Record<string, ArchiveRow[]>; pictures: Record<string, Uint8Array> };

const manifestOf = ({ tables, pictures }: Bench): ArchiveManifest => ({
  format: 'tivrel.archive',
  version: 1,
  madeAt: '2026-05-04T09:00:00.000Z',
  migrations: 20,
  rows: Object.fromEntries(Object.entries(tables).map(([name, rows]) => [name, rows.length])),
  pictures: Object.keys(pictures).length
});

async function written(bench: Bench): Promise<Uint8Array> {
  const source: ArchiveSource = {
    manifest: manifestOf(bench),
    async *rowsOf(table) {
      for (const row of bench.tables[table]) yield [row];
    },
    async *pictures() {
      yield Object.entries(bench.pictures).map(([id, bytes]) => ({ id, bytes }));
    },
    async *testsCsv() {
      yield 'code\r\n';
    }
  };
  const parts: Uint8Array[] = [];
  for await (const part of archiveParts(source)) parts.push(part);
  return Buffer.concat(parts);
}

async function* cut(bytes: Uint8Array, size: number) {
  for (let i = 0; i < bytes.length; i += size) yield bytes.slice(i, i + size);
}

async function read(bytes: Uint8Array, size = 1000): Promise<Bench> {
  const bench: Bench = { tables: {}, pictures: {} };
  const take = (found: Found) => {
    if ('manifest' in found) for (const name of Object.keys(found.manifest.rows)) bench.tables[name] = [];
    else if ('table' in found) bench.tables[found.table].push(...found.rows);
    else bench.pictures[found.picture] = new Uint8Array(found.bytes);
  };
  for await (const found of readArchive(cut(bytes, size))) take(found);
  return bench;
}

async function refused(bytes: Uint8Array): Promise<string> {
  try {
    await read(bytes);
  } catch (problem) {
    expect((problem as Error).name).to.equal('ArchiveProblem');
    return (problem as Error).message;
  }
  throw new Error('It was read, but should have been refused.');
}

const SMALL: Bench = {
  tables: { sample: [{ id: 'a', name: 'Pit' }], test: [] },
  pictures: { F1: new Uint8Array([0xff, 0xd8, 1, 2, 3]) }
};

/** A zip with all that belongs into one, and what a test puts beside or in its place. */
function zipped(files: Record<string, Uint8Array>, o: { sums?: boolean } = {}): Uint8Array {
  const manifest = strToU8(JSON.stringify(manifestOf({ tables: { sample: [] }, pictures: {} })));
  const all: Record<string, Uint8Array> = {
    'tivrel-archive.json': manifest,
    'rows/sample.jsonl': new Uint8Array(),
    ...files
  };
  const sum = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('base64url');
  const sums = Object.fromEntries(Object.entries(all).map(([name, bytes]) => [name, sum(bytes)]));
  return zipSync(o.sums === false ? all : { ...all, 'sums.json': strToU8(JSON.stringify(sums)) });
}

describe('an archive of a whole bench', () => {
  it('gives back what went in, whatever stands in its rows and however it is cut', async () => {
    const cell = fc.oneof(
      fc.string({ unit: 'grapheme' }),
      fc.double({ noNaN: true, noDefaultInfinity: true }),
      fc.integer(),
      fc.constant(null)
    );
    const row = fc.dictionary(fc.stringMatching(/^[a-z_]{1,8}$/), cell, { maxKeys: 6 });
    const tables = fc.dictionary(fc.stringMatching(/^[a-z_]{1,12}$/), fc.array(row, { maxLength: 12 }), {
      maxKeys: 5
    });
    const pictures = fc.dictionary(fc.stringMatching(/^[0-9A-Z]{1,26}$/), fc.uint8Array({ maxLength: 300 }), {
      maxKeys: 4
    });
    await fc.assert(
      fc.asyncProperty(
        fc.record({ tables, pictures }),
        fc.integer({ min: 1, max: 5000 }),
        async (bench, size) => {
          const plain = JSON.parse(JSON.stringify(bench.tables)) as Bench['tables'];
          const back = await read(await written(bench), size);
          expect(JSON.parse(JSON.stringify(back.tables))).to.deep.equal(plain);
          expect(back.pictures).to.deep.equal({ ...bench.pictures });
        }
      ),
      { numRuns: 60 }
    );
  });

  it('is refused wherever one byte of it is another, or its end is missing', async () => {
    const whole = await written(SMALL);
    let harmless = 0;
    for (let at = 0; at < whole.length; at += 7) {
      const changed = whole.slice();
      changed[at] ^= 0x55;
      // What only says when a file was written, or stands in the list at the end, changes nothing of what it holds.
      const back = await read(changed).catch((problem: Error) => problem);
      if (back instanceof Error) expect(back.name).to.equal('ArchiveProblem');
      else {
        expect(back).to.deep.equal(SMALL);
        harmless++;
      }
    }
    expect(harmless).to.be.lessThan(whole.length / 7 / 1.5);
    for (const share of [0.1, 0.5, 0.7]) {
      expect(await refused(whole.slice(0, Math.floor(whole.length * share)))).to.match(
        /half|choose the zip/i
      );
    }
  });

  it('is refused where it holds what none does: ways out of its folder, other files, one twice, no sums', async () => {
    expect(await refused(zipped({ '../../etc/passwd': strToU8('x') }))).to.match(
      /no archive of a bench does/
    );
    expect(await refused(zipped({ 'rows/../x.jsonl': strToU8('{}') }))).to.match(
      /no archive of a bench does/
    );
    expect(await refused(zipped({ 'pictures/a.svg': strToU8('<svg/>') }))).to.match(
      /no archive of a bench does/
    );
    expect(await refused(zipped({}, { sums: false }))).to.match(/half/);
    expect(await refused(zipped({ 'rows/sample.jsonl': strToU8('{"id": {"a": 1}}\n') }))).to.match(
      /row of sample/
    );
    expect(await refused(zipped({ 'rows/sample.jsonl': strToU8('not json\n') }))).to.match(/row of sample/);
    expect(await refused(zipped({ 'tivrel-archive.json': strToU8('{"format":"other"}') }))).to.match(
      /what it holds/
    );
    expect(await refused(strToU8('no zip at all'))).to.match(/choose the zip/);
    expect(await refused(new Uint8Array())).to.match(/choose the zip/);
  });

  it('is refused before it is unpacked where it unpacks to far more than it is', async () => {
    const parts: Uint8Array[] = [];
    const zip = new Zip((_, bytes) => parts.push(bytes));
    const manifest = new ZipDeflate('tivrel-archive.json');
    zip.add(manifest);
    manifest.push(strToU8(JSON.stringify(manifestOf({ tables: { sample: [] }, pictures: {} }))), true);
    const bomb = new ZipDeflate('rows/sample.jsonl', { level: 9 });
    zip.add(bomb);
    const zeros = new Uint8Array(10_000_000).fill(0x20);
    for (let i = 0; i < 8; i++) bomb.push(zeros, i === 7);
    zip.end();
    expect(await refused(Buffer.concat(parts))).to.match(/far (more|larger)/);
  });
});
