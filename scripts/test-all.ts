import { spawnSync } from 'node:child_process';

/** Runs every check, one after the other, shows what each says, and adds up the counts at the end. */
type Check = {
  name: string;
  command: string[];
  counts: (output: string) => { passed: number; failed: number } | null;
};

const first = (output: string, pattern: RegExp) => Number(pattern.exec(output)?.[1] ?? 0);
/** A check without counts of its own counts as one. */
const single = () => null;

const checks: Check[] = [
  { name: 'format', command: ['prettier', '--check', '--log-level', 'warn', '.'], counts: single },
  { name: 'lint', command: ['eslint', '.'], counts: single },
  {
    name: 'types',
    command: ['svelte-check', '--tsconfig', './tsconfig.json', '--fail-on-warnings'],
    counts: single
  },
  {
    name: 'dependency rules',
    command: ['depcruise', '--config', '.dependency-cruiser.cjs', 'src'],
    counts: single
  },
  {
    name: 'unit',
    command: ['mocha', 'tests/unit/**/*.test.ts'],
    counts: (o) => ({ passed: first(o, /(\d+) passing/), failed: first(o, /(\d+) failing/) })
  },
  {
    name: 'end to end',
    command: ['playwright', 'test'],
    counts: (o) => ({
      passed: first(o, /(\d+) passed/),
      failed: first(o, /(\d+) failed/) + first(o, /(\d+) interrupted/) + first(o, /(\d+) did not run/)
    })
  }
];

let passed = 0;
let failed = 0;
const summary: string[] = [];
for (const { name, command, counts } of checks) {
  console.log(`\n== ${name}`);
  const started = Date.now();
  const done = spawnSync('npx', command, {
    encoding: 'utf8',
    maxBuffer: 1 << 28,
    env: { ...process.env, FORCE_COLOR: '0' }
  });
  const output = (done.stdout ?? '') + (done.stderr ?? '');
  console.log(output.trim());
  const ok = done.status === 0;
  const found = counts(output);
  const own = found && found.passed + found.failed > 0 ? found : { passed: ok ? 1 : 0, failed: ok ? 0 : 1 };
  // A runner that failed without naming a failed test still failed.
  if (!ok && own.failed === 0) own.failed = 1;
  // A runner that says it passed but ran nothing has not passed.
  if (ok && found && found.passed === 0) own.failed = 1;
  passed += own.passed;
  failed += own.failed;
  summary.push(
    `${name}: ${own.passed} passed, ${own.failed} failed (${Math.round((Date.now() - started) / 1000)} s)`
  );
}
console.log(`\n${summary.join('\n')}`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
