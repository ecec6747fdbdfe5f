import { expect } from 'chai';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { STANDARD_VESSELS } from '../../../src/lib/core/index.ts';
import { y4mFrame, y4mHead } from '../../../src/lib/formats/y4m.ts';
import {
  benchFilm,
  benchPng,
  benchSeries,
  readQuery,
  seriesTimes
} from '../../../src/lib/server/bench-camera.ts';

const jar = {
  vessel: STANDARD_VESSELS.find((v) => v.id === 'jar-litre')!,
  waterMm: 128,
  tempC: 18,
  soilMm: 43
};
const small = { width: '180', height: '240' };
const ask = (o: Record<string, string> = {}) => readQuery(new URLSearchParams({ ...small, ...o }));

const whole = async (sent: ReadableStream<Uint8Array>) =>
  new Uint8Array(await new Response(sent).arrayBuffer());

describe('the bench camera', () => {
  it('gives a picture as PNG, the same for the same question', async () => {
    const one = await benchPng(jar, ask().data!, 600);
    expect(await sharp(one).metadata()).to.include({ format: 'png', width: 180, height: 240 });
    expect(Buffer.compare(one, await benchPng(jar, ask().data!, 600))).to.equal(0);
    expect(Buffer.compare(one, await benchPng(jar, ask().data!, 6000))).not.to.equal(0);
  });

  it('gives a series whose names say the seconds', async () => {
    const files = unzipSync(await whole(benchSeries(jar, ask({ seconds: '30,600,7200' }).data!)));
    expect(Object.keys(files)).to.eql(['00000030s.png', '00000600s.png', '00007200s.png']);
    expect(seriesTimes()).to.have.length(40);
    expect(seriesTimes().at(-1)).to.equal(172_800);
  });

  it('gives a film that holds each picture for as many frames', async () => {
    const film = await whole(benchFilm(jar, ask({ seconds: '30,600', hold: '3' }).data!));
    const head = y4mHead(180, 240, 5).length;
    expect(film.length).to.equal(head + 6 * (6 + 180 * 240 * 1.5));
    expect(Buffer.from(film.subarray(0, head)).toString('latin1')).to.match(
      /^YUV4MPEG2 W180 H240 F5:1 Ip A1:1 C420jpeg\n/
    );
  });

  it('writes colours in the limited range of BT.601', () => {
    const of = (rgb: number[]) => {
      const data = Uint8ClampedArray.from([...rgb, 255, ...rgb, 255, ...rgb, 255, ...rgb, 255]);
      const bytes = y4mFrame({ width: 2, height: 2, data });
      return [bytes[6], bytes[10], bytes[11]];
    };
    expect(of([255, 255, 255])).to.eql([235, 128, 128]);
    expect(of([0, 0, 0])).to.eql([16, 128, 128]);
    expect(of([255, 0, 0])).to.eql([81, 90, 240]);
  });

  it('refuses what it cannot do, beside the field', () => {
    const bad = (o: Record<string, string>) => ask(o).error?.issues.map((i) => i.path.join('.'));
    expect(bad({ sand: '40' })).to.eql(['sand']);
    expect(bad({ seconds: '-1' })).to.eql(['seconds.0']);
    expect(bad({ width: '181' })).to.eql(['width']);
    expect(bad({ width: '1920', height: '1920', hold: '60', seconds: '5,30,600' })).to.eql(['hold']);
    const many = Array.from({ length: 80 }, (_, i) => i + 1).join(',');
    expect(bad({ width: '1920', height: '1920', hold: '1', seconds: many })).to.include('seconds');
    expect(bad({ width: '900', height: '1200', hold: '1', seconds: many })).to.equal(undefined);
    expect(bad({ sand: '40', silt: '40', clay: '20' })).to.equal(undefined);
  });
});
