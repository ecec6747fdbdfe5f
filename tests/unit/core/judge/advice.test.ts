import { expect } from 'chai';
import fc from 'fast-check';
import {
  BINDERS,
  nextForWall,
  TRIAL_KINDS,
  WALL_ADVICE,
  type TrialSays,
  type WallProgress
} from '../../../../src/lib/core/index.ts';

const SAYS: TrialSays['kind'][] = [
  ...(['stabilised', 'falls', 'weak-wet', 'open-wet', 'typical', 'decent', 'open-dry', 'weak'] as const),
  ...([
    'shrinks-little',
    'shrinks',
    'cracks',
    'short',
    'binds',
    'fat',
    'whole',
    'few',
    'crumbles',
    'uneven'
  ] as const)
];
type Set = WallProgress['sets'][number];
const blocks = (says: Set['says'], o: Partial<Set> = {}): Set => ({
  kind: 'block',
  binder: 'none',
  says,
  open: false,
  ...o
});
const box = (says: Set['says']): Set => ({ kind: 'box', binder: 'none', says, open: false });

describe('what is advised next for a wall', () => {
  it('leads from jar to mix to pieces to blocks, and to an engineer in the end', () => {
    const next = (o: Partial<WallProgress>) => nextForWall({ sets: [], ...o });
    expect(next({})).to.equal('run-jar');
    expect(next({ best: 0.95 })).to.equal('pieces');
    expect(next({ best: 0.95, sets: [box('shrinks-little')] })).to.equal('blocks');
    expect(next({ best: 0.95, sets: [box('cracks')] })).to.equal('blend');
    expect(next({ best: 0.5 })).to.equal('settle');
    expect(next({ best: 0.05 })).to.equal('blend');
    expect(next({ best: 0.05, blend: 'works' })).to.equal('jar-of-mix');
    expect(next({ best: 0.05, blend: 'cannot' })).to.equal('no-blend');
    expect(next({ best: 0.05, oneShare: true }), 'no mix of one share').to.equal('whole-jar');
    const after = (...sets: Set[]) => next({ best: 0.95, sets });
    expect(after(blocks(undefined, { open: true }))).to.equal('wait');
    expect(after(blocks('open-wet'))).to.equal('more-blocks');
    expect(after(blocks('decent'))).to.equal('soak');
    expect(after(blocks('falls'))).to.equal('binder');
    expect(after(blocks('falls'), blocks('weak-wet', { binder: 'lime' }))).to.equal('stronger');
    expect(after(blocks('weak'))).to.equal('stronger');
    expect(after(blocks('falls'), blocks('stabilised', { binder: 'cement' }))).to.equal('engineer');
  });

  it('always advises something, and never an engineer without blocks that hold wet', () => {
    const set = fc.record({
      kind: fc.constantFrom(...TRIAL_KINDS),
      binder: fc.constantFrom(...BINDERS),
      says: fc.option(fc.constantFrom(...SAYS), { nil: undefined }),
      open: fc.boolean()
    });
    fc.assert(
      fc.property(
        fc.array(set, { maxLength: 6 }),
        fc.option(fc.double({ min: 0, max: 1, noNaN: true }), { nil: undefined }),
        fc.constantFrom(undefined, 'works' as const, 'cannot' as const),
        (sets, best, blend) => {
          const next = nextForWall({ sets, blend, ...(best === undefined ? {} : { best }) });
          expect(WALL_ADVICE).to.include(next);
          const holds = sets.some((one) => one.kind === 'block' && one.says === 'stabilised');
          expect(next === 'engineer').to.equal(holds);
        }
      )
    );
  });
});
