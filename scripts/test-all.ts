import { execFile } from 'node:child_process';

/**
 * Runs every check, shows what each says, and adds up the counts at the end. What reads the code alone runs beside
 * the unit tests; the browser has the machine to itself.
 */
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
  { name: 'style rules', command: ['stylelint', 'src/**/*.{css,svelte}'], counts: single },
  { name: 'unused code', command: ['knip', '--no-progress'], counts: single },
  {
    name: 'unit',
    // A file a process at a time, on both cores: none knows of another.
    command: ['mocha', '--parallel', '--jobs', '2', 'tests/unit/**/*.test.ts'],
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

type Done = { ok: boolean; output: string; seconds: number };

function run(command: string[]): Promise<Done> {
  const started = Date.now();
  return new Promise((resolve) =>
    execFile(
      'npx',
      command,
      { maxBuffer: 1 << 28, env: { ...process.env, FORCE_COLOR: '0' } },
      (error, stdout, stderr) =>
        resolve({
          ok: !error,
          output: stdout + stderr,
          seconds: Math.round((Date.now() - started) / 1000)
        })
    )
  );
}

let passed = 0;
let failed = 0;
const summary: string[] = [];
const troubles: string[] = [];

function tell({ name, counts }: Check, { ok, output, seconds }: Done) {
  console.log(`\n== ${name}\n${output.trim()}`);
  const found = counts(output);
  const own = found && found.passed + found.failed > 0 ? found : { passed: ok ? 1 : 0, failed: ok ? 0 : 1 };
  // A runner that failed without naming a failed test still failed.
  if (!ok && own.failed === 0) own.failed = 1;
  // A runner that says it passed but ran nothing has not passed.
  if (ok && found && found.passed === 0) own.failed = 1;
  passed += own.passed;
  failed += own.failed;
  if (own.failed > 0) troubles.push(`\n== what failed: ${name}\n${output.trim().slice(-6000)}`);
  summary.push(`${name}: ${own.passed} passed, ${own.failed} failed (${seconds} s)`);
}

async function inTurn(some: Check[]) {
  for (const check of some) tell(check, await run(check.command));
}

const runner = ({ command }: Check) => command[0];
const browser = checks.filter((check) => runner(check) === 'playwright');
const unit = checks.filter((check) => runner(check) === 'mocha');
const rest = checks.filter((check) => !browser.includes(check) && !unit.includes(check));
await Promise.all([inTurn(rest), inTurn(unit)]);
await inTurn(browser);
// Once more at the end, where it is found: the output before it is long.
for (const trouble of troubles) console.log(trouble);
console.log(`\n${summary.join('\n')}`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
