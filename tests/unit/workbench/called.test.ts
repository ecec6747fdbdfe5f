import { expect } from 'chai';
import type { NextStep } from '../../../src/lib/core/index.ts';
import { calledOn, jarOfPage, keyTarget } from '../../../src/lib/workbench/called.ts';

const view = (id: string, step: NextStep, run: object | null = {}) => ({ jar: { id }, run, step });
const due = (layer: 'sand' | 'silt', dueAt: number): NextStep => ({
  kind: 'mark',
  layer,
  dueAt,
  untilAt: dueAt + 10,
  state: 'due'
});
const waiting = (dueAt: number): NextStep => ({
  kind: 'mark',
  layer: 'clay',
  dueAt,
  untilAt: dueAt + 10,
  state: 'waiting'
});
const ready: NextStep = { kind: 'set-down', state: 'ready' };
const bench = { subject: null, bench: true, picked: null };
/** A key on a bench on which what presses most is called. */
const key = <V extends ReturnType<typeof view>>(
  act: 'mark' | 'set-down' | 'read',
  views: V[],
  at: { subject: string | null; bench: boolean; picked: string | null }
) => keyTarget(act, { views, called: calledOn(views, at.picked) }, at);

describe('what is called, and what a key acts on', () => {
  const views = [
    view('late', waiting(900)),
    view('first', due('sand', 100)),
    view('second', due('silt', 200)),
    view('new', ready, null),
    view('newer', ready, null)
  ];
  it('calls the most pressing, or the picked one where it presses too', () => {
    expect(calledOn(views, null)!.jar.id).to.equal('first');
    expect(calledOn(views, 'second')!.jar.id).to.equal('second');
    expect(calledOn(views, 'late')!.jar.id).to.equal('first');
    expect(calledOn([views[0]], 'late')).to.equal(undefined);
  });
  it('marks what the title calls, and never a jar that nobody called or picked', () => {
    expect(key('mark', views, bench)!.jar.id).to.equal('first');
    expect(key('mark', views, { ...bench, picked: 'late' })!.jar.id).to.equal('first');
    expect(key('mark', [views[0]], bench)).to.equal(undefined);
    expect(key('mark', [views[0]], { ...bench, picked: 'late' })!.jar.id).to.equal('late');
  });
  it('acts on the jar of a page and on no other', () => {
    const page = { subject: 'new', bench: false, picked: 'first' };
    expect(key('set-down', views, page)!.jar.id).to.equal('new');
    expect(key('mark', views, page), 'it waits for no mark').to.equal(undefined);
    expect(key('set-down', views, { ...page, subject: 'first' }), 'it stands').to.equal(undefined);
    expect(key('read', views, { ...page, subject: 'second' })!.jar.id).to.equal('second');
  });
  it('sets down the picked jar, or the only one; of several nobody picked none', () => {
    expect(key('set-down', views, bench)).to.equal(undefined);
    expect(key('set-down', views, { ...bench, picked: 'newer' })!.jar.id).to.equal('newer');
    expect(key('set-down', views.slice(0, 4), bench)!.jar.id).to.equal('new');
    expect(key('set-down', views, { ...bench, bench: false, picked: 'newer' })).to.equal(undefined);
  });
  it('finds the jar of a page in its address', () => {
    expect(jarOfPage('/set/[id]', { id: 'a' })).to.equal('a');
    expect(jarOfPage('/read/[id]/cylinder', { id: 'a' })).to.equal('a');
    expect(jarOfPage('/tests/[id]/film', { id: 'a' })).to.equal('a');
    for (const other of ['/', '/set', '/samples/[id]', '/know', null])
      expect(jarOfPage(other, { id: 'a' }), String(other)).to.equal(null);
  });
});
