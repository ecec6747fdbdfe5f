import { z } from 'zod';
import { Door, guesses } from './door.ts';

const environment = z.object({
  DATABASE_URL: z.string().default('file:data/tivrel.db'),
  DATABASE_TOKEN: z.string().optional(),
  HOST: z.string().default('127.0.0.1'),
  ORIGIN: z.url('ORIGIN is an address such as https://bench.example').optional(),
  TIVREL_ROOT: z.string().default(process.cwd()),
  TIVREL_HOSTS: z.string().default(''),
  TIVREL_PASSPHRASE: z.string().min(8, 'TIVREL_PASSPHRASE needs at least 8 letters').optional(),
  TIVREL_TEST_CLOCK: z
    .string()
    .regex(/^-?\d+$/, 'TIVREL_TEST_CLOCK is a shift in ms')
    .optional(),
  TIVREL_SIMULATED: z.enum(['on', 'off'], 'TIVREL_SIMULATED is on or off').default('on'),
  NODE_ENV: z.string().default('production')
});

/** Settings of the server, read once from the environment. */
export type Config = {
  databaseUrl: string;
  databaseToken?: string;
  root: string;
  /** Address under which people reach it, where a proxy stands before it. */
  origin?: string;
  /** Host names this server answers to. */
  hosts: string[];
  /** What asks for the passphrase; none where there is none. */
  door?: Door;
  /** Simulated instruments are offered, labelled as what they are. */
  simulated: boolean;
  /** First shift of the server's clock, ms; undefined outside tests. */
  testClockMs?: number;
};

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]', '::1'];

/**
 * Reads and checks the environment.
 * @throws {Error} with a sentence for the operator: unknown values, a test clock in production, or an open
 *   address without a passphrase
 */
export function readConfig(env: Record<string, string | undefined>): Config {
  const parsed = environment.safeParse(env);
  if (!parsed.success) {
    throw new Error(`The configuration cannot be used: ${z.prettifyError(parsed.error)}`);
  }
  const e = parsed.data;
  if (e.TIVREL_TEST_CLOCK !== undefined && e.NODE_ENV === 'production') {
    throw new Error('TIVREL_TEST_CLOCK is for tests: it is refused in production.');
  }
  if (!LOOPBACK.includes(e.HOST) && !e.TIVREL_PASSPHRASE) {
    throw new Error(
      `HOST=${e.HOST} is open to other machines. Set TIVREL_PASSPHRASE first, or leave HOST at 127.0.0.1.`
    );
  }
  return {
    databaseUrl: e.DATABASE_URL,
    databaseToken: e.DATABASE_TOKEN,
    root: e.TIVREL_ROOT,
    origin: e.ORIGIN,
    hosts: [...LOOPBACK, e.HOST, ...e.TIVREL_HOSTS.split(',')].map((h) => h.trim()).filter(Boolean),
    door:
      e.TIVREL_PASSPHRASE === undefined ? undefined : new Door(e.TIVREL_PASSPHRASE, e.DATABASE_URL, guesses),
    simulated: e.TIVREL_SIMULATED === 'on',
    testClockMs: e.TIVREL_TEST_CLOCK === undefined ? undefined : Number(e.TIVREL_TEST_CLOCK)
  };
}

let current: Config | undefined;

/** The configuration of this process, read once. The server adapter listens on all addresses unless HOST is set. */
export function config(): Config {
  const listening = process.env.NODE_ENV === 'development' ? '127.0.0.1' : '0.0.0.0';
  if (!current) {
    current = readConfig({ ...process.env, HOST: process.env.HOST ?? listening });
    // Its digest is all that is needed from here on.
    delete process.env.TIVREL_PASSPHRASE;
  }
  return current;
}
