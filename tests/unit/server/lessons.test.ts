import { readdirSync, readFileSync } from 'node:fs';
import { join as joinPath } from 'node:path';
import { expect } from 'chai';
import { makeTask, sheetTasks, trueTops, type SheetItem } from '../../../src/lib/core/index.ts';
import { newLesson, sheetAnswer, soloTry } from '../../../src/lib/contract/practice.ts';
import { pointsOf } from '../../../src/lib/contract/records/lesson.ts';
import { lessonCsv } from '../../../src/lib/formats/lesson-csv.ts';
import {
  forgetSolo,
  keepSolo,
  practiceName,
  practisesAs,
  soloHistory,
  soloLearners
} from '../../../src/lib/server/lessons/alone.ts';
import {
  lessonTitle,
  answerTask,
  handIn,
  joinLesson,
  ownSheet
} from '../../../src/lib/server/lessons/learners.ts';
import {
  addLesson,
  allLessons,
  changeLearner,
  closeLesson,
  deleteLesson,
  lessonDetail,
  markAnswer,
  mendLesson
} from '../../../src/lib/server/lessons/lessons.ts';
import { CLASS_TRIES, classGuesses } from '../../../src/lib/server/door.ts';
import { guessedByClass } from '../../../src/lib/server/guessing.ts';
import { roleRefused } from '../../../src/lib/server/access.ts';
import { openBench, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';

const ITEMS: SheetItem[] = [
  { kind: 'drill', key: 'base', level: 1, count: 2 },
  { kind: 'calculation', level: 1 },
  { kind: 'jar', code: null },
  { kind: 'jar', code: 'W1' },
  { kind: 'test', what: 'Set a jar' }
];

describe('a lesson', () => {
  let bench: TestBench;
  let id: string;
  beforeEach(async () => {
    bench = await openBench();
    id = await addLesson(bench.store, { title: 'First jars', items: ITEMS }, bench.now);
  });
  afterEach(() => bench.close());
  const detail = async () => (await lessonDetail(bench.store.db, id))!;
  const code = async () => (await detail()).code;
  const join = async (name: string, group = '') =>
    joinLesson(bench.store, await code(), { name, group }, bench.now);
  const tasks = async () => sheetTasks(ITEMS, (await detail()).seed);
  const answer = (cookie: string, no: number, given: unknown) =>
    answerTask(bench.store, cookie, no, sheetAnswer.parse(given), bench.now);

  it('is joined by its code as somebody types it, by a number only, and answered until it is handed in', async () => {
    const typed = (await code()).toLowerCase().replace(/(...)/, '$1 ');
    const cookie = await joinLesson(bench.store, typed, { name: '7', group: 'A' }, bench.now);
    const own = (await ownSheet(bench.store.db, cookie))!;
    expect(own.learner).to.include({ name: '7', groupName: 'A', handedInAt: null });
    const [first] = await tasks();
    if (first.kind !== 'drill' || first.task.key !== 'base') throw new Error('the first is of the ruler');
    const table = { kind: 'drill', given: { mm: first.task.trueMm + first.task.baseMm } };
    expect((await answer(cookie, 1, table)).score).to.include({ slip: 'outside-bottom' });
    // The newest counts.
    expect(
      (await answer(cookie, 1, { kind: 'drill', given: { mm: first.task.trueMm } })).score!.points
    ).to.equal(100);
    await handIn(bench.store, cookie, bench.now);
    expect(await refusal(answer(cookie, 2, { kind: 'drill', given: { mm: 5 } }))).to.include({ status: 409 });
    const { learners } = await detail();
    expect(learners).to.have.length(1);
    expect(learners[0].answers.map(pointsOf)).to.deep.equal([100]);
    // Given back, it is answered again.
    await changeLearner(bench.store, learners[0].id, 'give-back');
    await answer(cookie, 2, { kind: 'drill', given: { mm: 5 } });
    expect((await detail()).learners[0].answers).to.have.length(2);
  });

  it('gives the whole class the same tasks, and checks each kind of them', async () => {
    const cookie = await join('1');
    const all = await tasks();
    expect(all.map((task) => task.kind)).to.deep.equal([
      'drill',
      'drill',
      'calculation',
      'jar',
      'jar',
      'test'
    ]);
    const sums = all[2];
    const jar = all[3];
    if (sums.kind !== 'calculation' || jar.kind !== 'jar' || !jar.picture)
      throw new Error('it is as it was made');
    const { sandMm, siltMm, clayMm } = sums.task;
    const total = sandMm + siltMm + clayMm;
    const text = `${sandMm} + ${siltMm} + ${clayMm} = ${total}\nsand ${sandMm} / ${total} = ${((100 * sandMm) / total).toFixed(1)} %\nsilt ${siltMm} / ${total} = ${((100 * siltMm) / total).toFixed(1)} %\nclay ${clayMm} / ${total} = ${((100 * clayMm) / total).toFixed(1)} %`;
    expect((await answer(cookie, 3, { kind: 'calculation', text })).score!.points).to.equal(100);
    const tops = trueTops(jar.picture);
    expect((await answer(cookie, 4, { kind: 'jar', tops })).score!.points).to.equal(100);
    expect(
      (await answer(cookie, 4, { kind: 'jar', tops: { ...tops, sandMm: tops.sandMm - 9 } })).score!.points
    ).to.equal(0);
    // A jar that stands in the room and a real test are marked by hand.
    expect((await answer(cookie, 5, { kind: 'jar', tops })).score).to.equal(null);
    expect((await answer(cookie, 6, { kind: 'test', text: 'W1: loam' })).score).to.equal(null);
    const given = (await detail()).learners[0].answers;
    expect(given.map(pointsOf)).to.deep.equal([100, 0, null, null]);
    await markAnswer(bench.store, given[3].id, 73);
    expect((await detail()).learners[0].answers.map(pointsOf)).to.deep.equal([100, 0, null, 73]);
    await markAnswer(bench.store, given[3].id, null);
    expect((await detail()).learners[0].answers.map(pointsOf)).to.deep.equal([100, 0, null, null]);
  });

  it('is mended as long as nobody answered, and only added to after that', async () => {
    const other: SheetItem[] = [{ kind: 'calculation', level: 2 }];
    await mendLesson(bench.store, id, { title: 'Second jars', items: other });
    expect(await detail()).to.deep.include({ title: 'Second jars', items: other });
    await mendLesson(bench.store, id, { title: 'First jars', items: ITEMS });
    await answer(await join('1'), 6, { kind: 'test', text: 'x' });
    const changed = mendLesson(bench.store, id, { title: 'First jars', items: other });
    expect((await refusal(changed)).fields.items).to.match(/add new ones below/);
    await mendLesson(bench.store, id, { title: 'Third jars', items: [...ITEMS, ...other] });
    const { title, items, learners } = await detail();
    expect([title, items.length, learners[0].answers[0].no]).to.deep.equal(['Third jars', 6, 6]);
    expect((await refusal(mendLesson(bench.store, 'none', { title: 'x', items: other }))).status).to.equal(
      404
    );
  });

  it('refuses what does not fit, in a sentence', async () => {
    const cookie = await join('1');
    const wrong = [
      [1, { kind: 'test', text: 'x' }, 422],
      [1, { kind: 'drill', given: { mm: 'much' } }, 422],
      [99, { kind: 'test', text: 'x' }, 404]
    ] as const;
    for (const [no, given, status] of wrong)
      expect((await refusal(answer(cookie, no, given))).status).to.equal(status);
    expect((await refusal(answer('nobody', 1, { kind: 'test', text: 'x' }))).status).to.equal(401);
    expect(
      (await refusal(joinLesson(bench.store, 'ZZZZZZ', { name: '1', group: '' }, bench.now))).fields.code
    ).to.match(/no lesson/);
    expect((await refusal(join('1'))).fields.name).to.match(/freed/);
    await closeLesson(bench.store, id, bench.now);
    expect((await refusal(join('2'))).fields.code).to.match(/closed/);
    expect((await refusal(answer(cookie, 6, { kind: 'test', text: 'x' }))).status).to.equal(409);
    await closeLesson(bench.store, id, null);
    await join('2');
    expect(newLesson.safeParse({ title: '', items: [] }).success).to.equal(false);
    const tops = { kind: 'jar', tops: { sandMm: 9, siltMm: 5, clayMm: 12 } };
    expect(sheetAnswer.safeParse(tops).error!.issues[0].message).to.match(/over one another/);
    expect((await refusal(changeLearner(bench.store, 'nobody', 'free'))).status).to.equal(404);
    expect((await refusal(markAnswer(bench.store, 'nothing', 5))).status).to.equal(404);
  });

  it('lets the address of a whole school mistype codes and pick names that are taken, and ends guessing', async () => {
    const tries = classGuesses();
    const school = <T>(work: () => Promise<T>) => guessedByClass('10.0.0.9', work, tries);
    const look = (code_: string) => school(() => lessonTitle(bench.store.db, code_));
    for (let i = 0; i < 30; i++) expect((await refusal(look('ZZZZZZ'))).status).to.equal(404);
    await join('7');
    const taken = async () => {
      const given = { name: '7', group: '' };
      const own = await code();
      return refusal(school(() => joinLesson(bench.store, own, given, bench.now)));
    };
    for (let i = 0; i < CLASS_TRIES.points; i++) expect((await taken()).status).to.equal(409);
    expect(await look(await code())).to.equal('First jars');
    for (let i = 0; i < CLASS_TRIES.points; i++) expect((await refusal(look('ZZZZZZ'))).status).to.equal(404);
    const late = await refusal(look(await code()));
    expect(late.status).to.equal(429);
    expect(late.retryS).to.be.within(1, CLASS_TRIES.duration);
    // Elsewhere nobody is kept out by it.
    expect(await guessedByClass('10.0.0.8', async () => 'in', tries)).to.equal('in');
  });

  it('hands a name that was freed to another device, with what it had answered', async () => {
    const first = await join('7', 'A');
    await answer(first, 6, { kind: 'test', text: 'W1: loam' });
    const [learner] = (await detail()).learners;
    await changeLearner(bench.store, learner.id, 'free');
    expect(await ownSheet(bench.store.db, first)).to.equal(undefined);
    const second = await join('7');
    expect((await ownSheet(bench.store.db, second))!.answers).to.have.length(1);
    expect((await detail()).learners).to.have.length(1);
    await changeLearner(bench.store, learner.id, 'remove');
    expect((await detail()).learners).to.deep.equal([]);
  });

  it('is handed out as a table, a line a learner, with no formula in it', async () => {
    const cookie = await join('=cmd()', 'A');
    await answer(cookie, 5, { kind: 'jar', tops: { sandMm: 20, siltMm: 30, clayMm: 40 } });
    await answer(cookie, 3, { kind: 'calculation', text: '1 + 1 = 3' });
    const [head, line, end] = lessonCsv(await detail()).split('\r\n');
    expect(head.split(',')).to.include.members([
      'name',
      'group',
      'task_1_base_points',
      'task_5_jar_sand_pct',
      'points'
    ]);
    expect(line).to.contain("'=cmd()");
    expect(line).to.contain('50.0,25.0,25.0');
    expect(line).to.contain('arithmetic');
    expect(end).to.equal('');
    const empty = await addLesson(bench.store, { title: 'Empty', items: ITEMS }, bench.now);
    expect(lessonCsv((await lessonDetail(bench.store.db, empty))!)).to.match(/^name,group/);
  });

  it('leaves nothing behind when it is deleted: no row, no event, no name', async () => {
    const cookie = await join('Somebody small', 'A');
    await answer(cookie, 6, { kind: 'test', text: 'Secret garden' });
    await deleteLesson(bench.store, id);
    expect(await allLessons(bench.store.db)).to.deep.equal([]);
    expect(await ownSheet(bench.store.db, cookie)).to.equal(undefined);
    const tables = (await bench.store.client.execute("select name from sqlite_master where type = 'table'"))
      .rows;
    for (const { name } of tables) {
      const rows = JSON.stringify((await bench.store.client.execute(`select * from "${String(name)}"`)).rows);
      expect(rows, String(name)).not.to.match(/Somebody small|Secret garden/);
    }
    // Nor in the room that was let go, where whoever opens the file would find it.
    expect(bytesOf(bench)).not.to.match(/Somebody small|Secret garden/);
  });

  it('leaves nothing of a learner who is taken out, or of practice that is forgotten', async () => {
    const cookie = await join('Somebody small', 'A');
    await answer(cookie, 6, { kind: 'test', text: 'Secret garden' });
    await changeLearner(bench.store, (await detail()).learners[0].id, 'remove');
    expect(bytesOf(bench)).not.to.match(/Somebody small|Secret garden/);
    const tried = soloTry.parse({ name: 'Somebody else', key: 'base', level: 1, seed: 5, given: { mm: 3 } });
    await keepSolo(bench.store, tried, bench.now);
    await forgetSolo(bench.store, 'Somebody else');
    expect(bytesOf(bench)).not.to.match(/Somebody else/);
  });

  it('tells pupils whose names look the same apart: the second adds something', async () => {
    await join('Ada');
    for (const name of ['ADA', 'Ad\u200ba', '\u0410da', 'Ad\u0430'])
      expect((await refusal(join(name))).status, name).to.equal(409);
    await join('Ada 2');
    await join('\u0410\u043d\u043d\u0430');
  });

  it('is read whatever a row holds', async () => {
    const cookie = await join('1');
    await answer(cookie, 6, { kind: 'test', text: 'x' });
    await bench.store.client.execute('update learner_answer set given = \'{"kind":"poem"}\', score = \'[]\'');
    expect((await detail()).learners[0].answers[0]).to.deep.include({
      score: null,
      given: { kind: 'test', text: '' }
    });
    await bench.store.client.execute(
      'update lesson set items = \'[{"kind":"drill","key":"dance","level":1,"count":1}]\''
    );
    expect((await detail()).items).to.deep.equal([]);
    expect(lessonCsv(await detail())).to.contain('1');
  });

  it('is for teachers to make and for anybody to join: readers fill sheets, and make none', () => {
    const refused = (role: 'reader' | 'helper', routeId: string) =>
      roleRefused(role, { method: 'POST', routeId, params: {} });
    for (const route of ['/lesson/[code]', '/api/v1/lesson/answers/[no]', '/api/v1/practice/tries'])
      expect(refused('reader', route)).to.equal(undefined);
    for (const route of ['/api/v1/lessons', '/api/v1/learners/[id]', '/api/v1/answers/[id]'])
      expect(refused('reader', route)).to.be.a('string');
    expect(refused('helper', '/api/v1/lessons')).to.equal(undefined);
  });
});

/** All that stands in the files of a bench. */
const bytesOf = ({ folder }: TestBench): string =>
  readdirSync(folder)
    .filter((name) => name.startsWith('bench.db'))
    .map((name) => readFileSync(joinPath(folder, name), 'latin1'))
    .join('');

describe('practising alone', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await openBench()));
  afterEach(() => bench.close());

  it('is a reader’s own: nobody of that role sees or forgets what another tried', () => {
    const [reader, helper] = (['reader', 'helper'] as const).map((role) => ({ name: 'Visitor', role }));
    expect(practiceName(reader, 'Visitor')).to.equal('Visitor');
    expect(() => practiceName(reader, 'Ada')).to.throw(/somebody else’s practice/);
    expect(practisesAs(reader)).to.equal('Visitor');
    for (const other of [helper, undefined]) {
      expect(practiceName(other, 'Ada')).to.equal('Ada');
      expect(practisesAs(other)).to.equal(undefined);
    }
    for (const routeId of ['/practice/lessons/[id]', '/api/v1/lessons/[id]/table.csv', '/api/v1/lessons'])
      expect(roleRefused('reader', { method: 'GET', routeId, params: {} }), routeId).to.be.a('string');
  });

  it('keeps a history by name, scored by the server, and forgets it', async () => {
    const task = makeTask('base', 5, 1);
    const one = (name: string, mm: number) =>
      keepSolo(
        bench.store,
        soloTry.parse({ name, key: 'base', level: 1, seed: 5, given: { mm } }),
        (bench.now += 1)
      );
    expect((await one('12', task.trueMm)).score.points).to.equal(100);
    expect((await one('12', task.trueMm + 30)).score.points).to.equal(0);
    await one('13', task.trueMm);
    expect((await soloHistory(bench.store.db, '12')).map((t) => [t.key, t.level, t.points])).to.deep.equal([
      ['base', 1, 100],
      ['base', 1, 0]
    ]);
    expect(await soloLearners(bench.store.db)).to.deep.equal([
      { name: '12', tries: 2 },
      { name: '13', tries: 1 }
    ]);
    const wrong = soloTry.parse({ name: '12', key: 'base', level: 1, seed: 5, given: { pct: 4 } });
    expect((await refusal(keepSolo(bench.store, wrong, bench.now))).status).to.equal(422);
    await bench.store.client.execute(
      "update learner_answer set drill = 'dance' where learner_id in (select id from learner where name = '13')"
    );
    expect(await soloHistory(bench.store.db, '13')).to.deep.equal([]);
    await forgetSolo(bench.store, '12');
    expect(await soloHistory(bench.store.db, '12')).to.deep.equal([]);
    expect(await soloLearners(bench.store.db)).to.have.length(1);
  });
});
