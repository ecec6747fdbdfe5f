import { expect } from 'chai';
import fc from 'fast-check';
import {
  classifyTexture,
  convertLimit,
  indexByPolygons,
  textureNeighbours,
  textureSystems,
  type SystemId
} from '../../../src/lib/core/index.ts';

const SYSTEMS = Object.values(textureSystems);
const id = (system: SystemId, sand: number, silt: number, clay: number) =>
  classifyTexture(system, { sand, silt, clay }).id;

describe('the other schools of texture', () => {
  it('are five, each with its own limits', () => {
    expect(SYSTEMS.map((s) => [s.id, s.classes.length, s.limitsUm[1]])).to.eql([
      ['usda', 12, 50],
      ['uk', 11, 60],
      ['international', 12, 20],
      ['fao', 5, 50],
      ['german', 31, 63]
    ]);
  });

  it('put known soils where their tables do', () => {
    const known: [SystemId, number, number, number, string][] = [
      ['uk', 40, 40, 20, 'clay-loam'],
      ['uk', 40, 45, 15, 'sandy-silt-loam'],
      ['uk', 10, 80, 10, 'silt-loam'],
      ['uk', 90, 6, 4, 'sand'],
      ['international', 40, 40, 20, 'clay-loam'],
      ['international', 30, 20, 50, 'heavy-clay'],
      ['international', 50, 40, 10, 'loam'],
      ['international', 90, 4, 6, 'loamy-sand'],
      ['fao', 40, 40, 20, 'medium'],
      ['fao', 10, 70, 20, 'medium-fine'],
      ['fao', 80, 10, 10, 'coarse'],
      ['fao', 10, 20, 70, 'very-fine'],
      ['german', 40, 40, 20, 'Ls2'],
      ['german', 95, 3, 2, 'Ss'],
      ['german', 5, 90, 5, 'Uu'],
      ['german', 10, 10, 80, 'Tt'],
      ['german', 13, 55, 32, 'Tu3'],
      ['german', 15, 57, 28, 'Lu'],
      ['german', 60, 20, 20, 'Ls4']
    ];
    for (const [system, s, z, c, expected] of known) {
      expect(id(system, s, z, c), `${system} ${s}/${z}/${c}`).to.equal(expected);
    }
  });

  it('give bounds to the class that they belong to', () => {
    expect(id('uk', 50, 32, 18)).to.equal('sandy-clay-loam');
    expect(id('uk', 20, 45, 35)).to.equal('silty-clay');
    expect(id('uk', 45, 20, 35)).to.equal('sandy-clay');
    expect(id('international', 55, 20, 25)).to.equal('sandy-clay');
    expect(id('international', 85, 0, 15)).to.equal('sandy-clay-loam');
    expect(id('fao', 65, 17, 18)).to.equal('medium');
    expect(id('fao', 15, 50, 35)).to.equal('medium');
    expect(id('fao', 40, 0, 60)).to.equal('fine');
    expect(id('german', 85, 10, 5)).to.equal('Sl2');
    expect(id('german', 35, 0, 65)).to.equal('Tt');
  });

  for (const system of SYSTEMS) {
    it(`${system.name}: rules and outlines agree on a fine grid, bounds included`, () => {
      for (let s = 0; s <= 200; s++) {
        for (let z = 0; s + z <= 200; z++) {
          const f = { sand: s / 2, silt: z / 2, clay: (200 - s - z) / 2 };
          const byRules = system.indexByRules(f.sand, f.silt, f.clay);
          expect(byRules).to.be.within(0, system.classes.length - 1);
          expect(indexByPolygons(system, f), `${JSON.stringify(f)} ${system.classes[byRules].id}`).to.equal(
            byRules
          );
        }
      }
    });

    it(`${system.name}: the outlines cover the triangle once`, () => {
      let area = 0;
      for (const c of system.classes) {
        let own = 0;
        c.polygon.forEach((a, i) => {
          const b = c.polygon[(i + 1) % c.polygon.length];
          own += (a.silt * b.clay - b.silt * a.clay) / 2;
        });
        area += Math.abs(own);
      }
      expect(area).to.be.closeTo(5000, 1e-6);
    });

    it(`${system.name}: rules and outlines agree anywhere, and every other class is a neighbour`, () => {
      fc.assert(
        fc.property(
          fc.double({ min: 0, max: 1, noNaN: true }),
          fc.double({ min: 0, max: 1, noNaN: true }),
          (u, v) => {
            const root = Math.sqrt(u);
            const f = { sand: 100 * (1 - root), silt: 100 * root * (1 - v), clay: 100 * root * v };
            expect(indexByPolygons(system, f)).to.equal(system.indexByRules(f.sand, f.silt, f.clay));
            const others = textureNeighbours(system.id, f);
            expect(others).to.have.length(system.classes.length - 1);
            expect(others[0].points).to.be.at.least(0);
          }
        ),
        { numRuns: 300 }
      );
    });
  }

  it('see one soil by its own limits: from 50 to 63 um and back', () => {
    const there = convertLimit({ sand: 40, silt: 40, clay: 20 }, 50, 63);
    expect(there.sand).to.be.below(40);
    expect(there.sand + there.silt + there.clay).to.be.closeTo(100, 1e-9);
    expect(id('german', there.sand, there.silt, there.clay)).to.equal('Ls2');
  });
});
