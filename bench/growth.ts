import { execFileSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { median, report } from './measure.ts';
import { serve } from './serving.ts';

const PORT = 5194;
const FEW = 500;
const MANY = 50_000;
const PICTURES = 33_000;

/** What was in memory at once at most, MB, since it was last asked. */
function peak(pid: number): number {
  const own = /VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'));
  return Number(own?.[1] ?? 0) / 1024;
}

type Figures = Record<string, { ms: number; kB: number }>;

const PATHS = {
  log: '/log',
  'log by class': '/log?sort=class',
  'log, page 20': '/log?from=1900',
  'log, searched': '/log?q=loam',
  know: '/know',
  act: '/act',
  set: '/set',
  'results, a page': '/api/v1/results?limit=500',
  'results, all': '/api/v1/results',
  'log as CSV': '/api/v1/tests?format=csv'
};

async function measured(url: string): Promise<{ figures: Figures; startMs: number; grownMB: number }> {
  const { base, child, startMs, end } = await serve(url, PORT);
  try {
    const figures: Figures = {};
    let before = 0;
    for (const [name, path] of Object.entries(PATHS)) {
      if (name === 'results, all') before = peak(child.pid!);
      const times: number[] = [];
      let bytes = 0;
      for (let i = 0; i < (path.includes('/api/') ? 3 : 9); i++) {
        const from = performance.now();
        const answer = await fetch(base + path);
        if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
        bytes = 0;
        for await (const part of answer.body!) bytes += (part as Uint8Array).length;
        times.push(performance.now() - from);
      }
      figures[name] = { ms: median(times), kB: bytes / 1000 };
    }
    return { figures, startMs, grownMB: peak(child.pid!) - before };
  } finally {
    await end();
  }
}

/** By itself: what the library leaves open of a file goes with the process, and a server may have it after. */
const grow = (url: string, tests: number, pictures: number) =>
  execFileSync('node', ['--import', 'tsx', 'tests/hardening/grow.ts', url, String(tests), String(pictures)]);

/** Pages, exports and the start of the server with fifty thousand tests, against five hundred. */
export async function benchGrowth(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'tivrel-growth-'));
  try {
    const seed = join(folder, 'seed.db');
    execFileSync('node', ['--import', 'tsx', 'scripts/seed-demo.ts'], {
      env: { ...process.env, DATABASE_URL: `file:${seed}` }
    });
    const [few, many] = [FEW, MANY].map((tests) => {
      const file = join(folder, `${tests}.db`);
      copyFileSync(seed, file);
      return `file:${file}`;
    });
    grow(few, FEW, FEW);
    const from = performance.now();
    grow(many, MANY, PICTURES);
    const grownMs = performance.now() - from;
    const one = await measured(few);
    const all = await measured(many);
    for (const name of Object.keys(PATHS)) {
      const [a, b] = [one.figures[name], all.figures[name]];
      report(
        `${name}, ${MANY} tests`,
        `${b.ms.toFixed(0)} ms, ${b.kB.toFixed(0)} kB`,
        `${(b.ms / a.ms).toFixed(2)} x the time at ${FEW} (${a.ms.toFixed(0)} ms, ${a.kB.toFixed(0)} kB)`
      );
    }
    report(
      `server start, ${MANY} tests`,
      `${all.startMs.toFixed(0)} ms`,
      `${(all.startMs / one.startMs).toFixed(2)} x that at ${FEW}; ${PICTURES} pictures`
    );
    report(
      'memory that exports add',
      `${all.grownMB.toFixed(0)} MB at ${MANY}`,
      `${one.grownMB.toFixed(0)} MB at ${FEW}`
    );
    report(
      'all outcomes worked out anew',
      `${(grownMs / 1000).toFixed(0)} s`,
      'with the rows written; once, at an upgrade'
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
