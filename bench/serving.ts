import { spawn, type ChildProcess } from 'node:child_process';

/** As `tivrel` starts the server. */
const SERVER_FLAGS = ['--max-semi-space-size=64'];

/** A built server on a database. */
export type Serving = {
  base: string;
  child: ChildProcess;
  /** How long it took until it answered, ms. */
  startMs: number;
  end(): Promise<void>;
};

/** Starts it as `tivrel` does, and waits until it answers. */
export async function serve(url: string, port: number): Promise<Serving> {
  const base = `http://127.0.0.1:${port}`;
  const begun = performance.now();
  const child = spawn('node', [...SERVER_FLAGS, 'build'], {
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: String(port),
      DATABASE_URL: url,
      NODE_ENV: 'production',
      SHUTDOWN_TIMEOUT: '1'
    },
    stdio: ['ignore', 'ignore', 'inherit']
  });
  const gone = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  const alive = () =>
    fetch(`${base}/api/v1/health`).then(
      (r) => r.ok,
      () => false
    );
  while (!(await alive())) {
    if (child.exitCode !== null) throw new Error('the server ended');
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  return {
    base,
    child,
    startMs: performance.now() - begun,
    async end() {
      child.kill();
      await gone;
    }
  };
}
