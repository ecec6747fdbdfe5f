import { expect } from 'chai';
import sharp from 'sharp';
import { ulid } from 'ulid';
import {
  keepPhoto,
  photoBytes,
  SIDE_MOST_PX,
  sweepFiles,
  UPLOAD_MOST
} from '../../../src/lib/server/photos.ts';
import { photosOf } from '../../../src/lib/server/repositories/photos.ts';
import { siteDetail } from '../../../src/lib/server/repositories/sites.ts';
import { openBench, standJar, type TestBench } from './bench.ts';

const DAY_MS = 86_400_000;
const picture = (width: number, height: number, background = '#8a6a3c') =>
  sharp({ create: { width, height, channels: 3, background } });

describe('pictures', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await openBench()));
  afterEach(() => bench.close());
  const keep = (bytes: Buffer) => keepPhoto(bench.store, bytes, bench.now);
  const refusal = (bytes: Buffer): Promise<string> =>
    keep(bytes).then(
      () => 'taken',
      (problem: { fields: Record<string, string> }) => problem.fields.file
    );

  it('are made smaller, turned upright, and lose what the camera wrote into them, but for the time', async () => {
    const taken = await picture(3000, 1500)
      .withExif({
        IFD0: { Make: 'Nobody', Orientation: '6' },
        IFD2: { DateTimeOriginal: '2026:05:03 17:42:10' },
        IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '60/1 0/1 0/1' }
      })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    const kept = await keep(taken);
    expect(kept).to.include({ width: SIDE_MOST_PX / 2, height: SIDE_MOST_PX });
    const bytes = (await photoBytes(bench.store, kept.id))!;
    const meta = await sharp(bytes).metadata();
    expect(meta).to.include({ format: 'jpeg', width: 1000, height: 2000 });
    expect(meta.exif).to.equal(undefined);
    expect(bytes.includes('Nobody')).to.equal(false);
    const dated = await picture(20, 20)
      .withExif({ IFD2: { DateTimeOriginal: '2026:05:03 17:42:10' } })
      .jpeg()
      .toBuffer();
    expect((await keep(dated)).takenText).to.equal('2026-05-03T17:42');
  });

  it('of PNG and WebP are taken, small ones as large as they are, clear parts white', async () => {
    const clear = { create: { width: 40, height: 30, channels: 4, background: '#00000000' } } as const;
    const kept = await keep(await sharp(clear).png().toBuffer());
    expect(kept).to.include({ width: 40, height: 30, takenText: null });
    const { data } = await sharp((await photoBytes(bench.store, kept.id))!)
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect(data[0]).to.be.above(250);
    expect((await keep(await picture(9, 9).webp().toBuffer())).width).to.equal(9);
  });

  it('that are none are refused, with what to choose instead', async () => {
    expect(await refusal(Buffer.alloc(0))).to.match(/empty/);
    expect(await refusal(Buffer.from('This is a letter, not a picture.'))).to.match(/JPEG, PNG or WebP/);
    expect(await refusal(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'))).to.match(
      /JPEG, PNG or WebP/
    );
    const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(40)]);
    expect(await refusal(heic)).to.match(/HEIC.*JPEG/);
    const whole = await picture(800, 800).png({ compressionLevel: 0 }).toBuffer();
    expect(await refusal(whole.subarray(0, whole.length / 2))).to.match(/breaks off/);
    expect(await refusal(Buffer.alloc(UPLOAD_MOST + 1))).to.match(/over 15 MB/);
    const bomb = await picture(9500, 9500).png({ compressionLevel: 9 }).toBuffer();
    expect(await refusal(bomb)).to.match(/80 million|cannot|JPEG, PNG or WebP/);
    const frames = [picture(8, 8), picture(8, 8, '#1d44c4')].map((p) => p.png().toBuffer());
    const moving = await sharp(await Promise.all(frames), { join: { animated: true } })
      .webp()
      .toBuffer();
    expect(await refusal(moving)).to.match(/moves/);
  });

  it('belong to a sample or a spot that is there, and can be taken off and brought back', async () => {
    const { id: fileId } = await keep(await picture(30, 20).jpeg().toBuffer());
    const sampleId = ulid();
    await bench.do('sample.add', { sampleId, name: 'Bank', purpose: 'build' });
    const add = (subjectId: string, file = fileId) =>
      bench.do('photo.add', { photoId: ulid(), fileId: file, subject: 'sample', subjectId });
    const message = (work: Promise<unknown>) => work.then(String, (p: Error) => p.message);
    expect(await message(add(ulid()))).to.match(/not here/);
    expect(await message(add(sampleId, ulid()))).to.match(/picture is not here/);
    await add(sampleId);
    const [photo] = await photosOf(bench.store.db, 'sample', [sampleId]);
    expect(photo).to.include({ fileId, width: 30, height: 20 });
    const done = await bench.do('photo.remove', { photoId: photo.id });
    expect(await photosOf(bench.store.db, 'sample', [sampleId])).to.deep.equal([]);
    await bench.do('undo', { eventId: done.eventId });
    expect(await photosOf(bench.store.db, 'sample', [sampleId])).to.have.length(1);
  });

  it('of a jar go for good with it when the bin is emptied', async () => {
    const { id: fileId } = await keep(await picture(30, 20).jpeg().toBuffer());
    const { testId } = await standJar(bench);
    const photoId = ulid();
    await bench.do('photo.add', { photoId, fileId, subject: 'test', subjectId: testId });
    const other = await standJar(bench);
    const kept = await keep(await picture(30, 20).jpeg().toBuffer());
    await bench.do('photo.add', {
      photoId: ulid(),
      fileId: kept.id,
      subject: 'test',
      subjectId: other.testId
    });
    await bench.do('test.bin', { testId });
    await bench.do('bin.empty', {});
    expect(await photosOf(bench.store.db, 'test', [testId])).to.deep.equal([]);
    expect(await photosOf(bench.store.db, 'test', [other.testId])).to.have.length(1);
    expect(await sweepFiles(bench.store, bench.now + DAY_MS + 1)).to.equal(1);
    expect(await photoBytes(bench.store, fileId)).to.equal(undefined);
  });

  it('that nothing refers to are let go after a day, those in use never', async () => {
    const jpeg = await picture(30, 20).jpeg().toBuffer();
    const [loose, used, laid] = [await keep(jpeg), await keep(jpeg), await keep(jpeg)];
    const [sampleId, siteId] = [ulid(), ulid()];
    await bench.do('sample.add', { sampleId, name: 'Bank', purpose: 'build' });
    await bench.do('photo.add', { photoId: ulid(), fileId: used.id, subject: 'sample', subjectId: sampleId });
    await bench.do('site.add', { siteId, name: 'Holm' });
    await bench.do('site.backdrop', { siteId, fileId: laid.id });
    const { sketch } = (await siteDetail(bench.store.db, siteId))!;
    expect(sketch.scaled).to.equal(false);
    expect(sketch.backdrop).to.deep.include({ widthPx: 30, heightPx: 20 });
    expect(await sweepFiles(bench.store, bench.now + DAY_MS - 1)).to.equal(0);
    expect(await sweepFiles(bench.store, bench.now + DAY_MS + 1)).to.equal(1);
    expect(await photoBytes(bench.store, loose.id)).to.equal(undefined);
    expect(await photoBytes(bench.store, used.id)).not.to.equal(undefined);
    await bench.do('site.backdrop', { siteId, fileId: null });
    expect((await siteDetail(bench.store.db, siteId))!.sketch).to.deep.include({
      backdrop: null,
      scaled: true
    });
    expect(await sweepFiles(bench.store, bench.now + DAY_MS + 1)).to.equal(1);
  });
});
