import { expect } from 'chai';
import { ulid } from 'ulid';
import { TECHNIQUES, USUAL_FIGURES } from '../../../src/lib/core/index.ts';
import { foldersDocument, foldersToJson } from '../../../src/lib/formats/trials.ts';
import { allFolders, folderById } from '../../../src/lib/server/repositories/folders.ts';
import { sampleById } from '../../../src/lib/server/repositories/samples.ts';
import { keptTest, knownSoil } from '../../../src/lib/server/kept.ts';
import { judgeFolderSoil } from '../../../src/lib/workbench/folder.ts';
import { ENTRY, openBench, standJar, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';

describe('folders of soils that somebody sent', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());

  async function sample(name: string) {
    const sampleId = ulid();
    await bench.do('sample.add', { sampleId, name, purpose: 'build' });
    return sampleId;
  }

  it('keep their sender, their numbers and their order, are changed, and go out by their schema', async () => {
    const [a, b] = [await sample('Upper'), await sample('Lower')];
    const folderId = ulid();
    const items = [
      { sampleId: b, theirs: 'No. 2' },
      { sampleId: a, theirs: '1/b' }
    ];
    const fields = { name: 'Two soils', sender: 'a neighbour', receivedOn: '2026-03-02', note: 'A wall?' };
    await bench.do('folder.add', { folderId, ...fields, items });
    expect(await folderById(bench.store.db, folderId)).to.deep.include({ ...fields, items });
    await bench.do('folder.edit', { folderId, ...fields, name: 'One soil', items: [items[1]] });
    const json = foldersDocument.parse(foldersToJson(await allFolders(bench.store.db)));
    expect(json.folders[0]).to.deep.include({ name: 'One soil', soils: [items[1]] });
    await bench.do('folder.remove', { folderId });
    expect(await allFolders(bench.store.db)).to.deep.equal([]);
  });

  it('refuse what cannot be, beside its field', async () => {
    const a = await sample('Upper');
    const add = (o: object) =>
      refusal(bench.do('folder.add', { folderId: ulid(), name: 'x', items: [], ...o }));
    expect((await add({ name: ' ' })).fields).to.have.property('name');
    expect((await add({ receivedOn: '2999-01-01' })).fields).to.have.property('receivedOn');
    const item = { sampleId: a, theirs: '' };
    expect((await add({ items: [item, item] })).fields).to.have.property('items.1.sampleId');
    expect((await add({ items: [{ sampleId: ulid(), theirs: '' }] })).fields).to.have.property(
      'items.0.sampleId'
    );
  });

  it('judge each soil by what is on record of it, and lead it on', async () => {
    const judge = async (sampleId: string, testId?: string) => {
      const one = await keptTest(bench.store.db, testId ?? null);
      return judgeFolderSoil(
        {
          sample: (await sampleById(bench.store.db, sampleId))!,
          known: await knownSoil(bench.store.db, (await sampleById(bench.store.db, sampleId))!),
          theirs: '',
          test: one ? { id: one.detail.id, code: one.detail.code, snapshot: one.kept.snapshot } : null,
          kept: null,
          trials: []
        },
        { techniques: TECHNIQUES, figures: USUAL_FIGURES, now: bench.now }
      );
    };
    expect(await judge(await sample('Untested'))).to.deep.include({ said: [], next: 'run-jar' });
    const { testId, sampleId } = await standJar(bench);
    bench.now += 26 * 3_600_000;
    const readingId = ulid();
    await bench.do('jar.read', { testId, readingId, entry: ENTRY });
    await bench.do('test.finish', { testId, readingId, resultId: ulid() });
    const judged = await judge(sampleId, testId);
    expect(judged.said).to.have.length(TECHNIQUES.length);
    expect(judged.next).to.be.oneOf(['pieces', 'settle', 'blend']);
  });
});
