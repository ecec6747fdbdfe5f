import { expect } from 'chai';
import fc from 'fast-check';
import {
  classifyMany,
  classifyTexture,
  fromTriangle,
  indexByPolygons,
  RangeProblem,
  textureNeighbours,
  textureSystems,
  toTriangle
} from '../../../src/lib/core/index.ts';

const { usda } = textureSystems;
const name = (sand: number, silt: number, clay: number) => classifyTexture('usda', { sand, silt, clay }).name;

/** Any point on the triangle. */
const anyFractions = fc
  .tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([u, v]) => {
    const root = Math.sqrt(u);
    const sand = 100 * (1 - root);
    const silt = 100 * root * (1 - v);
    return { sand, silt, clay: 100 - sand - silt };
  });

describe('USDA texture classes', () => {
  const known: [number, number, number, string][] = [
    [40, 40, 20, 'loam'],
    [90, 5, 5, 'sand'],
    [82, 12, 6, 'loamy sand'],
    [65, 25, 10, 'sandy loam'],
    [10, 85, 5, 'silt'],
    [20, 65, 15, 'silt loam'],
    [60, 13, 27, 'sandy clay loam'],
    [33, 34, 33, 'clay loam'],
    [10, 57, 33, 'silty clay loam'],
    [52, 6, 42, 'sandy clay'],
    [6, 48, 46, 'silty clay'],
    [20, 20, 60, 'clay']
  ];
  for (const [s, z, c, expected] of known)
    it(`puts ${s}/${z}/${c} in ${expected}`, () => expect(name(s, z, c)).to.equal(expected));

  it('gives every bound to the class the manual gives it to', () => {
    expect(name(85, 15, 0)).to.equal('loamy sand');
    expect(name(70, 30, 0)).to.equal('sandy loam');
    expect(name(52, 28, 20)).to.equal('loam');
    expect(name(52, 41, 7)).to.equal('loam');
    expect(name(43, 50, 7)).to.equal('silt loam');
    expect(name(45, 28, 27)).to.equal('clay loam');
    expect(name(20, 40, 40)).to.equal('silty clay');
    expect(name(20, 53, 27)).to.equal('silty clay loam');
    expect(name(45, 15, 40)).to.equal('clay');
    expect(name(8, 80, 12)).to.equal('silt loam');
    expect(name(20, 80, 0)).to.equal('silt');
  });

  it('says the same by rules and by outlines on a fine grid, bounds included', () => {
    for (let s = 0; s <= 400; s++) {
      for (let z = 0; s + z <= 400; z++) {
        const f = { sand: s / 4, silt: z / 4, clay: (400 - s - z) / 4 };
        expect(indexByPolygons(usda, f), JSON.stringify(f)).to.equal(
          usda.indexByRules(f.sand, f.silt, f.clay)
        );
      }
    }
  });

  it('says the same by rules and by outlines anywhere', () => {
    fc.assert(
      fc.property(anyFractions, (f) => {
        expect(indexByPolygons(usda, f)).to.equal(usda.indexByRules(f.sand, f.silt, f.clay));
      }),
      { numRuns: 2000 }
    );
  });

  it('covers the triangle once: the areas of the outlines sum to the whole', () => {
    let area = 0;
    for (const c of usda.classes) {
      c.polygon.forEach((a, i) => {
        const b = c.polygon[(i + 1) % c.polygon.length];
        area += (a.silt * b.clay - b.silt * a.clay) / 2;
      });
    }
    expect(Math.abs(area)).to.be.closeTo(5000, 1e-9);
  });

  it('counts inputs within a billionth of a bound as on it', () => {
    expect(name(52 + 4e-10, 28 - 4e-10, 20)).to.equal('loam');
  });

  it('refuses what is no point on the triangle', () => {
    expect(() => name(50, 50, 50)).to.throw(RangeProblem, /sum to 100, not 150/);
    expect(() => name(-1, 61, 40)).to.throw(RangeProblem, /sand/);
    expect(() => name(NaN, 50, 50)).to.throw(RangeProblem);
  });

  it('classifies in bulk as it does singly', () => {
    const points = fc.sample(anyFractions, 200);
    const flat = new Float64Array(points.flatMap((f) => [f.sand, f.silt, f.clay]));
    const out = new Uint8Array(points.length);
    classifyMany('usda', flat, out);
    points.forEach((f, i) => expect(usda.classes[out[i]].name).to.equal(name(f.sand, f.silt, f.clay)));
  });
});

describe('places on the triangle', () => {
  it('are found and read back', () => {
    fc.assert(
      fc.property(anyFractions, (f) => {
        const back = fromTriangle(toTriangle(f));
        for (const part of ['sand', 'silt', 'clay'] as const) expect(back[part]).to.be.closeTo(f[part], 1e-9);
      })
    );
  });
});

describe('neighbours', () => {
  it('of an even loam are clay loam at seven points, then silt loam at ten', () => {
    const [first, second] = textureNeighbours('usda', { sand: 40, silt: 40, clay: 20 });
    expect(first).to.include({ name: 'clay loam', give: 'clay' });
    expect(first.points).to.be.closeTo(7, 1e-9);
    expect(second).to.include({ name: 'silt loam', give: 'silt' });
    expect(second.points).to.be.closeTo(10, 1e-9);
  });

  it('are all the other classes, nearest first', () => {
    const all = textureNeighbours('usda', { sand: 60, silt: 13, clay: 27 });
    expect(all).to.have.length(usda.classes.length - 1);
    all.slice(1).forEach((n, i) => expect(n.points).to.be.at.least(all[i].points));
  });

  it('are no nearer than any point of their class found by search', () => {
    fc.assert(
      fc.property(anyFractions, anyFractions, (f, other) => {
        const own = usda.indexByRules(f.sand, f.silt, f.clay);
        const theirs = usda.indexByRules(other.sand, other.silt, other.clay);
        if (own === theirs) return;
        const found = textureNeighbours('usda', f).find((n) => n.id === usda.classes[theirs].id)!;
        const direct =
          (Math.abs(f.sand - other.sand) + Math.abs(f.silt - other.silt) + Math.abs(f.clay - other.clay)) / 2;
        expect(found.points).to.be.at.most(direct + 1e-9);
      }),
      { numRuns: 500 }
    );
  });
});
