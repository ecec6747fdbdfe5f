import { expect } from 'chai';
import fc from 'fast-check';
import {
  benchTasks,
  cutReport,
  draftOf,
  fillPlan,
  methodByKey,
  methodProblems,
  METHODS,
  nextStep,
  ownMethod,
  RangeProblem,
  solidsFromDryFill,
  TRUE_SAND_LIMITS_UM,
  trueMarks,
  trueTimes,
  usualVessel,
  type MethodDraft
} from '../../../src/lib/core/index.ts';

const timed = methodByKey('jar-timed');
const draft = (fields: Partial<MethodDraft> = {}): MethodDraft => ({
  ...draftOf(timed),
  name: 'Ours',
  ...fields
});
const mark = (layer: 'sand' | 'silt' | 'clay', atS: number, untilS?: number) => ({
  layer,
  atS,
  ...(untilS === undefined ? {} : { untilS })
});

describe('a method of one’s own', () => {
  it('is a copy of any that ships, and runs with the same figures', () => {
    for (const base of METHODS) {
      const copy = { ...draftOf(base), name: `${base.name}, ours`.slice(0, 40) };
      expect(methodProblems(copy), base.key).to.deep.equal({});
      const made = ownMethod(copy, { key: 'own-a', version: 3, base });
      expect(made).to.include({ key: 'own-a', version: 3, kind: base.kind });
      expect(made.marks).to.deep.equal(base.marks);
      expect(made.stand).to.contain(base.name);
      const vessel = usualVessel(base);
      const [a, b] = [fillPlan(base, vessel), fillPlan(made, vessel)];
      expect(b.soilMm).to.be.closeTo(a.soilMm, 1);
      expect(b.waterMm).to.be.closeTo(a.waterMm, 1);
      const times = (m: typeof made) => benchTasks(m, 18).map(({ kind, atS, toS }) => ({ kind, atS, toS }));
      expect(times(made)).to.deep.equal(times(base));
    }
  });

  it('is refused beside the field that is wrong', () => {
    const wrong: [Partial<MethodDraft>, string, RegExp][] = [
      [{ name: '  ' }, 'name', /Name the method/],
      [{ name: 'x'.repeat(41) }, 'name', /under 40/],
      [{ soilShare: 0 }, 'soilShare', /share of the height/],
      [{ soilShare: NaN }, 'soilShare', /share of the height/],
      [{ soilShare: 0.6, water: 0.3 }, 'water', /water must stand over the soil/],
      [{ water: 1.2 }, 'water', /at most 100/],
      [{ dispersantMlPerL: -1 }, 'dispersantMlPerL', /0 to 500/],
      [{ agitate: { how: 'Shake', fromS: 600, toS: 60 } }, 'agitate', /Swap them/],
      [{ agitate: { how: 'Shake', fromS: 0, toS: 7200 } }, 'agitate', /an hour/],
      [{ marks: [mark('sand', 7200), mark('silt', 60)] }, 'silt', /after the sand: later than 2 h/],
      [{ marks: [mark('silt', 60), mark('sand', 7200)] }, 'silt', /after the sand/],
      [{ marks: [mark('sand', 60), mark('silt', 65)] }, 'silt', /later than/],
      [{ marks: [mark('sand', 60, 30), mark('silt', 7200)] }, 'sand', /ends before it begins/],
      [{ marks: [mark('sand', 60, 9000), mark('silt', 7200)] }, 'sand', /beyond the mark of the silt/],
      [{ marks: [mark('sand', 0)] }, 'sand', /above nothing/],
      [{ marks: [mark('sand', 60), mark('sand', 90)] }, 'sand', /once/],
      [{ marks: [mark('clay', NaN)] }, 'clay', /above nothing/],
      [{ end: { fromS: 3600, toS: 7200 } }, 'end', /after the last mark: not before 24 h/],
      [{ end: { fromS: 200_000, toS: 100_000 } }, 'end', /Swap them/],
      [{ end: { fromS: 86_400, toS: 1e9 } }, 'end', /60 days/],
      [{ steps: [{ text: ' ' }] }, 'steps', /at least one step/]
    ];
    for (const [fields, field, words] of wrong) {
      const problems = methodProblems(draft(fields));
      expect(problems[field as 'name'], JSON.stringify(fields)).to.match(words);
      expect(() => ownMethod(draft(fields), { key: 'own-a', version: 1, base: timed })).to.throw(
        RangeProblem
      );
    }
  });

  it('that holds together leads from mark to mark whatever its times are', () => {
    const times = fc
      .tuple(
        fc.integer({ min: 1, max: 600 }),
        fc.integer({ min: 10, max: 9000 }),
        fc.integer({ min: 10, max: 200_000 })
      )
      .map(([a, b, c]) => [a, a + b, a + b + c]);
    fc.assert(
      fc.property(times, ([sand, silt, clay]) => {
        const own = draft({
          marks: [mark('clay', clay), mark('sand', sand), mark('silt', silt)],
          end: { fromS: clay, toS: clay * 2 }
        });
        expect(methodProblems(own)).to.deep.equal({});
        const made = ownMethod(own, { key: 'own-a', version: 1, base: timed });
        const marked: { layer: string; at: number }[] = [];
        for (const [layer, at] of [
          ['sand', sand],
          ['silt', silt],
          ['clay', clay]
        ] as const) {
          const step = nextStep(made, { setDownAt: 0, marked, hasReading: false }, at * 1000);
          expect(step).to.include({ kind: 'mark', layer, state: 'due' });
          marked.push({ layer, at: at * 1000 });
        }
        expect(nextStep(made, { setDownAt: 0, marked, hasReading: false }, clay * 1000).kind).to.equal(
          'read'
        );
      })
    );
  });

  it('keeps its steps and their reasons, and drops empty ones', () => {
    const steps = [{ text: ' Sieve. ', why: ' ' }, { text: '' }, { text: 'Shake.', why: 'Clods.' }];
    expect(ownMethod(draft({ steps }), { key: 'own-a', version: 1, base: timed }).steps).to.deep.equal([
      { text: 'Sieve.' },
      { text: 'Shake.', why: 'Clods.' }
    ]);
  });
});

describe('true marks', () => {
  const jar = { columnMm: 128, tempC: 18, solidsKgM2: solidsFromDryFill(43) };

  it('fall where the sizes have fallen: shown, they cut at those very sizes', () => {
    for (const sandUm of TRUE_SAND_LIMITS_UM) {
      const marks = trueMarks(timed, jar, sandUm);
      expect(marks.map((m) => m.layer)).to.deep.equal(['sand', 'silt', 'clay']);
      const [sand, silt] = cutReport({ ...timed, marks }, jar).marks;
      expect(sand.cutUm).to.be.closeTo(sandUm, sandUm * 0.02);
      expect(silt.cutUm).to.be.closeTo(2, 0.02);
    }
  });

  it('increase in any jar and water, and make a method that holds', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 40, max: 350, noNaN: true }),
        fc.double({ min: 4, max: 32, noNaN: true }),
        fc.double({ min: 0.05, max: 0.5, noNaN: true }),
        fc.constantFrom(...TRUE_SAND_LIMITS_UM),
        (columnMm, tempC, share, sandUm) => {
          const here = { columnMm, tempC, solidsKgM2: solidsFromDryFill(share * columnMm) };
          const marks = trueMarks(timed, here, sandUm);
          for (const [i, m] of marks.entries()) if (i > 0) expect(m.atS).to.be.above(marks[i - 1].atS);
          expect(marks[1].atS).to.be.closeTo(trueTimes(here, [2])[0], 1);
          expect(marks[2].untilS!).to.be.above(marks[2].atS);
        }
      ),
      { numRuns: 40 }
    );
  });
});
