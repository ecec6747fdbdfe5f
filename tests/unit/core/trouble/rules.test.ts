import { expect } from 'chai';
import {
  findTroubles,
  jarColumn,
  methodByKey,
  solidsFromDryFill,
  STANDARD_VESSELS,
  TROUBLE_RULES,
  type Trouble,
  type TroubleFacts
} from '../../../../src/lib/core/index.ts';

const HOUR = 3600;
const vessel = STANDARD_VESSELS.find((v) => v.id === 'jar-litre')!;
const mark = (layer: 'sand' | 'silt' | 'clay', timeS: number, heightMm: number | null) => ({
  layer,
  timeS,
  heightMm
});

function facts(fields: Partial<TroubleFacts> = {}): TroubleFacts {
  const soilMm = fields.soilMm ?? 43;
  return {
    vessel,
    method: methodByKey('jar-timed'),
    soilMm,
    waterMm: 128,
    dispersantMl: 4,
    column: jarColumn({ columnMm: 128, tempC: 18, solidsKgM2: solidsFromDryFill(soilMm) }),
    marks: [mark('sand', 61, 18), mark('silt', 2 * HOUR, 30), mark('clay', 26 * HOUR, 36)],
    notes: [],
    reading: { tops: { sand: 18, silt: 30, clay: 36 }, atS: 26 * HOUR },
    earlier: [],
    ...fields
  };
}
const found = (fields: Partial<TroubleFacts>) => findTroubles(facts(fields));
const one = (fields: Partial<TroubleFacts>): Trouble => {
  const troubles = found(fields);
  expect(troubles.map((t) => t.id)).to.have.length(1);
  return troubles[0];
};
/** The only trouble of these facts, which has to be this one. */
function the<K extends Trouble['id']>(id: K, fields: Partial<TroubleFacts>): Extract<Trouble, { id: K }> {
  const trouble = one(fields);
  expect(trouble.id).to.equal(id);
  return trouble as Extract<Trouble, { id: K }>;
}
const tops = (sand: number, silt: number, clay: number, gravel?: number) => ({
  sand,
  silt,
  clay,
  ...(gravel === undefined ? {} : { gravel })
});

describe('what went wrong', () => {
  it('is nothing in a healthy jar, read or not yet, clear or cloudy in its time', () => {
    expect(found({})).to.deep.equal([]);
    expect(found({ reading: undefined, marks: [] })).to.deep.equal([]);
    const later = { tops: tops(18, 30, 36), atS: 40 * HOUR };
    expect(found({ reading: { ...later, water: 'cloudy' } })).to.deep.equal([]);
    expect(found({ reading: { ...later, atS: 96 * HOUR, water: 'clear' } })).to.deep.equal([]);
    // A method without dispersant is not blamed for having none.
    expect(found({ method: methodByKey('jar-plain'), dispersantMl: 0 })).to.deep.equal([]);
  });

  it('too much soil: half the jar and over, with the speed that is left', () => {
    const trouble = the('too-full', { soilMm: 80 });
    expect(trouble.sharePct).to.be.closeTo(62.5, 1e-9);
    expect(trouble.speedPct).to.be.within(5, 40);
    expect(found({ soilMm: 64 })).to.deep.equal([]);
  });

  it('too little: what half a millimetre is then worth', () => {
    const thin = { tops: tops(8, 13, 16), atS: 26 * HOUR };
    expect(one({ reading: thin, marks: [] })).to.deep.include({
      id: 'too-thin',
      totalMm: 16,
      pointsPerHalfMm: 3.125
    });
    expect(found({ reading: { ...thin, tops: tops(10, 16, 20) }, marks: [] })).to.deep.equal([]);
    // A school cylinder has no more by its method: more soil is no advice there.
    const school = methodByKey('cylinder-volume')!;
    const cylinder = STANDARD_VESSELS.find((v) => v.id === 'cylinder-100')!;
    expect(
      found({ vessel: cylinder, method: school, soilMm: 38, waterMm: 188, reading: thin, marks: [] }).map(
        (t) => t.id
      )
    ).not.to.include('too-thin');
  });

  it('not screened: stones over a third of all that settled', () => {
    const stony = { tops: tops(26, 33, 38, 15), atS: 26 * HOUR };
    const trouble = one({ reading: stony });
    expect(trouble.id).to.equal('stones');
    expect(found({ reading: { ...stony, tops: tops(26, 33, 38, 8) } })).to.deep.equal([]);
  });

  it('over the shoulder, where a height is no volume any more; never in a straight cylinder', () => {
    const high = { tops: tops(60, 100, 135), atS: 26 * HOUR };
    expect(one({ reading: high })).to.deep.include({ id: 'over-shoulder', topMm: 135, shoulderMm: 128 });
    const cylinder = STANDARD_VESSELS.find((v) => v.id === 'cylinder-1000')!;
    expect(found({ reading: high, vessel: cylinder })).to.deep.equal([]);
  });

  it('foam, a knock, a move, as they were noted', () => {
    expect(one({ notes: ['foamed'] }).id).to.equal('foam');
    expect(one({ notes: ['knocked', 'photographed'] }).id).to.equal('knocked');
    expect(one({ notes: ['moved'] }).id).to.equal('knocked');
    expect(found({ notes: ['photographed', 'topped-up'] })).to.deep.equal([]);
  });

  it('no dispersant where the method asks for it', () => {
    expect(one({ dispersantMl: 0 })).to.deep.equal({ id: 'no-dispersant', askedMlPerL: 5 });
  });

  it('cloudy after a week, clear within hours', () => {
    const reading = { tops: tops(18, 30, 36), atS: 8 * 24 * HOUR };
    expect(one({ reading: { ...reading, water: 'cloudy' } })).to.deep.equal({ id: 'cloudy-long', days: 8 });
    expect(found({ reading: { ...reading, water: 'clear' } })).to.deep.equal([]);
    const soon = the('cleared-soon', { reading: { ...reading, atS: 7 * HOUR, water: 'clear' } });
    expect(soon.hours).to.equal(7);
    expect(soon.expectedUpPct).to.be.within(60, 100);
  });

  it('read long before its time, but not where the method is quick by design', () => {
    const reading = { tops: tops(18, 26, 30), atS: 1200 };
    const early = the('read-early', { reading });
    expect(early.minutes).to.equal(20);
    expect(early.stillUpPct).to.be.above(70);
    expect(found({ reading, method: methodByKey('cylinder-volume'), dispersantMl: 0 })).to.deep.equal([]);
  });

  it('a second after set-down nearly all of the clay is up', () => {
    const early = the('read-early', { reading: { tops: tops(18, 26, 30), atS: 1 } });
    expect(early.stillUpPct).to.be.above(99);
  });

  it('a later mark below an earlier one by more than packing', () => {
    const marks = [mark('sand', 61, 18), mark('silt', 2 * HOUR, 33), mark('clay', 26 * HOUR, 29)];
    expect(one({ marks })).to.deep.equal({ id: 'marks-fall', lower: 'clay', byMm: 4 });
    expect(
      found({ marks: [mark('sand', 61, 18), mark('silt', 2 * HOUR, null), mark('clay', 26 * HOUR, 17)] })
    ).to.deep.equal([]);
  });

  it('two layers only, by the one that is missing', () => {
    const at = 26 * HOUR;
    expect(one({ reading: { tops: { sand: 18, clay: 36 }, atS: at } })).to.deep.equal({
      id: 'two-layers',
      missing: 'silt'
    });
    expect(one({ reading: { tops: { sand: 18, silt: 30 }, atS: at } })).to.deep.include({ missing: 'clay' });
    expect(one({ reading: { tops: tops(18, 30, 30), atS: at } })).to.deep.include({ missing: 'clay' });
    const bottle = { method: methodByKey('bottle-five-minute'), dispersantMl: 0 };
    expect(found({ ...bottle, reading: { tops: { sand: 22 }, atS: 400 } })).to.deep.equal([]);
  });

  it('crumbs: the sand fell after a second shake, at a like time', () => {
    const before = [mark('sand', 60, 24)];
    expect(one({ earlier: [before] })).to.deep.equal({ id: 'crumbs', wasMm: 24, isMm: 18 });
    expect(found({ earlier: [[mark('sand', 60, 19)]] })).to.deep.equal([]);
    expect(found({ earlier: [[mark('sand', 200, 24)]] })).to.deep.equal([]);
    expect(found({ earlier: [[mark('sand', 60, null)]] })).to.deep.equal([]);
  });

  it('dark skin: organic matter that settled on the clay, and what it would add as clay', () => {
    const at = 30 * 3600;
    const skin = { ...tops(18, 30, 38), skin: 40 };
    const trouble = the('dark-skin', { reading: { tops: skin, atS: at } });
    expect(trouble.skinMm).to.equal(2);
    expect(trouble.asClayPoints).to.be.closeTo((100 * 10) / 40 - (100 * 8) / 38, 1e-9);
    expect(found({ reading: { tops: { ...tops(18, 30, 38), surface: 120 }, atS: at } })).to.deep.equal([]);
  });

  it('rattle: stones or crumbs were heard', () => {
    expect(one({ notes: ['rattled'] })).to.deep.equal({ id: 'rattle' });
    expect(found({ notes: ['photographed'] })).to.deep.equal([]);
  });

  it('has a rule for each trouble, and names what spoils most first', () => {
    const troubles = found({ notes: ['foamed', 'knocked'], dispersantMl: 0, soilMm: 90 });
    expect(troubles.map((t) => t.id)).to.deep.equal(['knocked', 'too-full', 'no-dispersant', 'foam']);
    expect(TROUBLE_RULES).to.have.length(15);
  });
});
