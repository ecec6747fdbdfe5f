import { expect } from 'chai';
import fc from 'fast-check';
import {
  draftOf,
  instrumentDraftOf,
  instrumentProblems,
  methodByKey,
  METHODS,
  methodProblems,
  nextStep,
  ownMethod,
  RangeProblem,
  usualBulbDepth,
  type InstrumentDraft,
  type Method,
  type MethodDraft
} from '../../../src/lib/core/index.ts';

type Hydrometer = Extract<InstrumentDraft, { kind: 'hydrometer' }>;
type Pipette = Extract<InstrumentDraft, { kind: 'pipette' }>;

const two = methodByKey('hydrometer-2pt');
const pipette = methodByKey('pipette');
const draft = (base: Method, instrument: InstrumentDraft): MethodDraft => ({
  ...draftOf(base),
  name: 'Ours',
  instrument
});
const made = (base: Method, instrument: InstrumentDraft) =>
  ownMethod(draft(base, instrument), { key: 'own-a', version: 1, base });
const hydrometer = (readings: [atS: number, leadS: number][], soilG = 40): Hydrometer => ({
  kind: 'hydrometer',
  soilG,
  readings: readings.map(([atS, leadS]) => ({ atS, leadS }))
});
const draws = (fields: Partial<Pipette> = {}): Pipette => ({
  ...(instrumentDraftOf(pipette) as Pipette),
  ...fields
});

describe('an instrument method of one’s own', () => {
  it('is a copy of one that ships, to the last figure, until something is changed', () => {
    for (const base of METHODS.filter((m) => m.readings)) {
      const copy = made(base, instrumentDraftOf(base)!);
      expect(copy.readings, base.key).to.deep.equal(base.readings);
      expect(copy.fill).to.deep.equal(base.fill);
      expect(copy.kind).to.equal(base.kind);
      expect([copy.end.fromS, copy.end.toS]).to.deep.equal([base.end.fromS, base.end.toS]);
    }
  });

  it('takes other times, another mass and another depth', () => {
    const early = made(
      two,
      hydrometer(
        [
          [40, 10],
          [7200, 15]
        ],
        50
      )
    );
    expect(early.readings).to.deep.equal([
      { atS: 40, leadS: 10, fallMm: usualBulbDepth(40) },
      { atS: 7200, leadS: 15, fallMm: usualBulbDepth(7200) }
    ]);
    expect(early.end).to.include({ fromS: 7200, toS: 9000 });
    expect(early.fill).to.include({ soilG: 50, waterLineMl: 1000 });
    expect(early.fill.soilMl).to.be.closeTo((two.fill.soilMl! * 50) / 40, 1e-9);
    const shallow = made(pipette, draws({ depthMm: 50, limitsUm: [20, 10, 2] }));
    expect(shallow.readings!.map((r) => r.fallMm)).to.deep.equal([50, 50, 50]);
    // Half the depth, half the wait; both ends stand at half hours.
    expect(shallow.end.fromS).to.be.closeTo(pipette.end.fromS / 2, 1800);
    expect(shallow.end.toS).to.be.closeTo(pipette.end.toS / 2, 1800);
  });

  it('is refused beside the reading that is wrong', () => {
    const wrong: [InstrumentDraft, string, RegExp][] = [
      [hydrometer([[40, 10]]), 'readings', /Two readings at least/],
      [hydrometer(Array.from({ length: 25 }, (_, i) => [60 * (i + 1), 10])), 'readings', /plenty/],
      [
        hydrometer([
          [40, 10],
          [40, 0]
        ]),
        'reading.1',
        /forward in time: later than 40 s/
      ],
      [
        hydrometer([
          [40, 10],
          [NaN, 10]
        ]),
        'reading.1',
        /above nothing/
      ],
      [
        hydrometer([
          [40, 10],
          [1e9, 10]
        ]),
        'reading.1',
        /60 days/
      ],
      [
        hydrometer([
          [40, 40],
          [7200, 10]
        ]),
        'reading.0',
        /before it is read/
      ],
      [
        hydrometer([
          [40, 0],
          [7200, 10]
        ]),
        'reading.0',
        /has to be lowered/
      ],
      [
        hydrometer([
          [40, 10],
          [7200, 0]
        ]),
        'reading.1',
        /catches grains/
      ],
      [
        hydrometer([
          [40, 10],
          [50, 8],
          [7200, 10]
        ]),
        'reading.1',
        /Leave it in/
      ],
      [
        hydrometer([
          [600, 10],
          [7200, 10]
        ]),
        'reading.0',
        /within two minutes/
      ],
      [
        hydrometer(
          [
            [40, 10],
            [7200, 10]
          ],
          400
        ),
        'soilG',
        /from 5 to 120/
      ],
      [
        hydrometer(
          [
            [40, 10],
            [7200, 10]
          ],
          NaN
        ),
        'soilG',
        /grams/
      ],
      [draws({ soilG: 61 }), 'soilG', /from 5 to 60/],
      [draws({ depthMm: 5 }), 'depthMm', /20 to 300/],
      [draws({ depthMm: NaN }), 'depthMm', /20 to 300/],
      [draws({ leadS: 1 }), 'leadS', /half a minute/],
      [draws({ limitsUm: [] }), 'readings', /One draw at least/],
      [draws({ limitsUm: [20, 20, 2] }), 'reading.1', /under 20/],
      [draws({ limitsUm: [100, 2] }), 'reading.0', /0.5 to 63/],
      [draws({ limitsUm: [NaN, 2] }), 'reading.0', /0.5 to 63/],
      [draws({ limitsUm: [20, 5] }), 'reading.1', /the clay: 2 µm/],
      [draws({ depthMm: 20, limitsUm: [60, 2] }), 'reading.0', /Draw deeper/],
      [draws({ limitsUm: [30, 29, 2] }), 'reading.1', /no time to lower it/]
    ];
    for (const [instrument, field, words] of wrong) {
      const base = instrument.kind === 'pipette' ? pipette : two;
      const problems = methodProblems(draft(base, instrument)) as Record<string, string>;
      expect(problems[field], JSON.stringify(instrument)).to.match(words);
      expect(() => made(base, instrument)).to.throw(RangeProblem);
    }
    // With a third reading the sand comes off the curve, and the first may be late.
    expect(
      instrumentProblems(
        hydrometer([
          [600, 10],
          [3600, 10],
          [7200, 10]
        ])
      )
    ).to.deep.equal({});
  });

  it('is made from a method that is read with the same instrument, and stays on it', () => {
    expect(() =>
      made(
        methodByKey('jar-timed'),
        hydrometer([
          [40, 10],
          [7200, 10]
        ])
      )
    ).to.throw(RangeProblem, /with this instrument/);
    expect(() =>
      made(
        pipette,
        hydrometer([
          [40, 10],
          [7200, 10]
        ])
      )
    ).to.throw(RangeProblem);
    // A draft that says nothing of the instrument leaves its readings as they are.
    const { instrument: _, ...silent } = draft(two, instrumentDraftOf(two)!);
    expect(ownMethod(silent, { key: 'own-a', version: 1, base: two }).readings).to.deep.equal(two.readings);
  });

  it('that holds together leads from reading to reading, whatever its times are', () => {
    const times = fc
      .array(fc.integer({ min: 20, max: 20_000 }), { minLength: 2, maxLength: 12 })
      .map((gaps) => gaps.reduce<number[]>((all, gap) => [...all, (all.at(-1) ?? 0) + gap], []));
    fc.assert(
      fc.property(times, (at) => {
        const instrument = hydrometer(at.map((s) => [s, 10]));
        fc.pre(at.length > 2 || at[0] <= 120);
        expect(instrumentProblems(instrument)).to.deep.equal({});
        const method = made(two, instrument);
        const gauged: { no: number; at: number }[] = [];
        for (const [no, s] of at.entries()) {
          const run = { setDownAt: 0, marked: [], hasReading: false, gauged };
          expect(nextStep(method, run, (s - 5) * 1000)).to.include({ kind: 'lower', no, state: 'due' });
          expect(nextStep(method, run, s * 1000)).to.include({ kind: 'gauge', no, state: 'due' });
          gauged.push({ no, at: s * 1000 });
        }
        const done = nextStep(
          method,
          { setDownAt: 0, marked: [], hasReading: false, gauged },
          at.at(-1)! * 1000
        );
        expect(done.kind).to.equal('finish');
      })
    );
  });
});

describe('the usual depth of a bulb', () => {
  it('is that of the usual readings, and grows with the hours between and beyond them', () => {
    expect(usualBulbDepth(40)).to.be.closeTo(130.2, 1e-9);
    expect(usualBulbDepth(23_400)).to.be.closeTo(143.32, 1e-9);
    expect(usualBulbDepth(1)).to.equal(usualBulbDepth(30));
    expect(usualBulbDepth(1e7)).to.equal(usualBulbDepth(86_400));
    fc.assert(
      fc.property(fc.double({ min: 1, max: 1e6, noNaN: true }), (s) => {
        expect(usualBulbDepth(s * 1.5)).to.be.at.least(usualBulbDepth(s) - 1e-9);
      })
    );
  });
});
