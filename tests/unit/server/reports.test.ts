import { expect } from 'chai';
import fc from 'fast-check';
import { extractText, getDocumentProxy } from 'unpdf';
import { seedDemo } from '../../../demo/seed.ts';
import { reportBody, reportHtml } from '../../../src/lib/formats/report-html.ts';
import { reportPdf } from '../../../src/lib/formats/report-pdf.ts';
import { reportOf } from '../../../src/lib/server/reports.ts';
import { logLines } from '../../../src/lib/server/repositories/log.ts';
import { allSites } from '../../../src/lib/server/repositories/sites.ts';
import { DEFAULT_PROFILE, type Profile } from '../../../src/lib/words/profile.ts';
import type { Report } from '../../../src/lib/workbench/report/types.ts';
import { openBench, START, type TestBench } from './bench.ts';

const HEAD = 'Skarn Holm\nthe caretaker crew';

describe('a report', () => {
  let bench: TestBench;
  before(async () => {
    bench = await openBench();
    await seedDemo(bench.store, START);
  });
  after(() => bench.close());

  const asked = (profile: Partial<Profile> = {}) => ({
    profile: { ...DEFAULT_PROFILE, letterhead: HEAD, ...profile },
    zone: 'UTC',
    now: START
  });
  const partOf = (report: Report, title: string) => report.parts.find((part) => part.title === title);
  const siteReport = async (profile: Partial<Profile> = {}) => {
    const [site] = await allSites(bench.store.db);
    return (await reportOf(bench.store, 'site', site.id, asked(profile)))!;
  };

  it('of a site has its sketch, areas, tests, triangle, verdicts, pieces, holes, how, how sure, and cautions', async () => {
    const report = await siteReport();
    expect(report.letterhead).to.deep.equal(['Skarn Holm', 'the caretaker crew']);
    expect(report.parts.map(({ title }) => title)).to.deep.equal([
      'The ground',
      'Areas',
      'Samples',
      'Tests',
      'On the texture triangle',
      'From a laboratory',
      'What was decided',
      'Trial pieces',
      'How it was done',
      'How sure it is',
      'Drainage holes'
    ]);
    const codes = (await logLines(bench.store, 'kept')).map((line) => line.code);
    const told = partOf(report, 'Tests')!.table!.rows.map(([code]) => code);
    expect(codes).to.include.members(told);
    expect(told).to.include.members(['N1', 'T1d', 'P5']);
    expect(report.cautions.join(' ')).to.match(/buried services.*licensed/s);
  });

  it('speaks in the units of its reader', async () => {
    const holes = async (profile: Partial<Profile>) =>
      partOf(await siteReport(profile), 'Drainage holes')!.table!.rows[0][1];
    expect(await holes({})).to.contain('300 mm deep');
    expect(await holes({ length: 'in' })).to.match(/in \(11\.81\) deep/);
  });

  it('of a sample and of a test say how it was done; where there is nothing there is none', async () => {
    const lines = await logLines(bench.store, 'kept');
    const line = lines.find(({ code }) => code === 'N1')!;
    const sample = (await reportOf(bench.store, 'sample', line.sampleId, asked()))!;
    expect(partOf(sample, 'How it was taken and made ready')!.lines.join(' ')).to.contain('Depth');
    expect(partOf(sample, 'Tests')!.table!.rows.map(([code]) => code)).to.include('N1');
    const test = (await reportOf(bench.store, 'test', line.id, asked()))!;
    expect(test.result).to.match(/soil/);
    expect(test.figure?.svg).to.contain('<circle');
    expect(await reportOf(bench.store, 'test', 'nowhere', asked())).to.equal(undefined);
    const open = lines.find(({ status }) => status === 'running')!;
    expect(await reportOf(bench.store, 'test', open.id, asked())).to.equal(undefined);
  });

  it('is a PDF of all of it, and one HTML file that fetches and runs nothing', async () => {
    const report = await siteReport();
    const pdf = await getDocumentProxy(await reportPdf(report));
    const { text } = await extractText(pdf, { mergePages: true });
    for (const said of [
      'the caretaker crew',
      'Soil of Skarn Holm',
      'T1d',
      'Drains very quickly',
      'licensed engineer'
    ])
      expect(text).to.contain(said);
    const html = reportHtml(report);
    expect(html).not.to.match(/<script|<link|<img|src=|href=|url\(|@import/i);
    expect(html).to.contain('Soil of Skarn Holm').and.contain('</html>');
  }).timeout(20_000);

  it('lets no markup of anybody through, whatever a name is', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (odd) => {
        const name = `<img src=x onerror="a">${odd}`;
        const table = { head: [name], rows: [[name]], numbers: [], title: name };
        const body = reportBody({
          letterhead: [name],
          title: name,
          facts: [name],
          result: name,
          under: [name],
          parts: [{ title: name, lines: [name], table }],
          cautions: [name],
          foot: name
        });
        expect(body).not.to.contain('<img');
        const tags = new Set([...body.matchAll(/<([a-z0-9]+)/gi)].map(([, tag]) => tag));
        expect(
          [...tags].every((tag) =>
            /^(header|h1|h2|p|div|section|table|caption|thead|tbody|tr|th|td|footer)$/.test(tag)
          )
        ).to.equal(true);
      })
    );
  });
});
