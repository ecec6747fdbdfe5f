import { spawn, type ChildProcess } from 'node:child_process';

/** A stand-in for a libSQL server that runs as a process of its own. */
export type StandIn = { url: string; child: ChildProcess; end(): Promise<void> };

/** Starts it over a file, and waits until it answers. */
export async function startStandIn(file: string, port: number): Promise<StandIn> {
  const child = spawn('node', ['--import', 'tsx', 'tests/standin/libsql-server.ts', file, String(port)], {
    stdio: ['ignore', 'ignore', 'inherit']
  });
  const url = `http://127.0.0.1:${port}`;
  const alive = () =>
    fetch(`${url}/health`).then(
      (answer) => answer.ok,
      () => false
    );
  while (!(await alive())) {
    if (child.exitCode !== null) throw new Error('the stand-in ended');
    await new Promise((resolve) => setTimeout(resolve, 30));
  }
  return {
    url,
    child,
    async end() {
      const gone = new Promise((resolve) => child.once('exit', resolve));
      if (child.exitCode !== null || child.signalCode !== null) return;
      child.kill('SIGKILL');
      await gone;
    }
  };
}
