import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ulid } from 'ulid';
import { seedDemo } from '../demo/seed.ts';
import { reportPdf } from '../src/lib/formats/report-pdf.ts';
import { openStore } from '../src/lib/server/db.ts';
import { beginImport, undoImport } from '../src/lib/server/imports.ts';
import { bringUpToDate } from '../src/lib/server/migrate.ts';
import { reportOf } from '../src/lib/server/reports.ts';
import { logGroups } from '../src/lib/server/repositories/groups.ts';
import { allSites } from '../src/lib/server/repositories/sites.ts';
import { readLogAddress } from '../src/lib/workbench/find.ts';
import { DEFAULT_PROFILE } from '../src/lib/words/profile.ts';

const NOW = Date.UTC(2026, 4, 4, 9, 0);
const tableOf = (rows: number) =>
  new TextEncoder().encode(
    `Sample,Field,Date,Sand %,Silt %,Clay %,Notes\n${Array.from(
      { length: rows },
      (_, i) =>
        `Pit ${i % (rows / 2)},North,2024-0${1 + (i % 9)}-${10 + (i % 18)},${20 + (i % 40)},${30 + (i % 10)},${50 - (i % 40) - (i % 10)},row ${i}`
    )
      .filter((_, i) => (i % 40) + (i % 10) < 50)
      .join('\n')}\n`
  );

/** Tables of 5,000 and 50,000 rows taken in and out again, what is in memory meanwhile, groups of the log, and the report of a site. */
export async function benchRecords(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'tivrel-bench-'));
  const store = await openStore(`file:${join(folder, 'bench.db')}`);
  await bringUpToDate(store, process.cwd(), NOW);
  let each = 0;
  for (const rows of [5000, 50_000]) {
    let most = 0;
    const before = process.memoryUsage().rss;
    const looking = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 50);
    const began = performance.now();
    const id = ulid();
    const file = { bytes: tableOf(rows), usual: 'mm' as const, now: NOW };
    const { record, ended } = await beginImport(store, file, { id, name: 'rows.csv', who: 'bench' });
    await ended;
    const tookS = (performance.now() - began) / 1000;
    clearInterval(looking);
    const own = (1000 * tookS) / record.rows;
    each ||= own;
    console.log(
      `  a table of ${record.rows} rows taken in: ${tookS.toFixed(1)} s, ${own.toFixed(2)} ms a row (${(own / each).toFixed(2)} times the first), ${Math.round((most - before) / 1e6)} MB more in memory at most`
    );
    if (rows === 50_000) {
      const start = performance.now();
      const { groups } = await logGroups(store, readLogAddress(new URLSearchParams()));
      console.log(`  ${groups.length} groups of the log: ${(performance.now() - start).toFixed(0)} ms`);
    }
    const start = performance.now();
    await undoImport(store, id, { who: 'bench', now: NOW });
    console.log(`  and taken back: ${((performance.now() - start) / 1000).toFixed(1)} s`);
  }
  await seedDemo(store, NOW);
  const [site] = await allSites(store.db);
  const asked = { profile: DEFAULT_PROFILE, zone: 'UTC', now: NOW };
  const timed = async (kind: 'site' | 'sample', id: string) => {
    const start = performance.now();
    const report = await reportOf(store, kind, id, asked);
    if (report) await reportPdf(report);
    return {
      ms: performance.now() - start,
      tests: report?.parts.find((part) => part.title === 'Tests')?.table?.rows.length
    };
  };
  const sampleId = String(
    (await store.client.execute('select sample_id as id from test limit 1')).rows[0].id
  );
  await timed('sample', sampleId);
  const one = await timed('sample', sampleId);
  const whole = await timed('site', site.id);
  console.log(
    `  the report of a site with ${whole.tests} tests as PDF: ${whole.ms.toFixed(0)} ms (${(whole.ms / one.ms).toFixed(1)} times that of a sample)`
  );
  store.close();
  rmSync(folder, { recursive: true, force: true });
}
