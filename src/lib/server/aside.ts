import { mkdirSync, mkdtempSync, lstatSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** What a server has on its way lies in a folder that bears its number, readable by its owner alone. */
const NAME = /^tivrel-aside-(\d+)$/;
const folderOf = (pid: number) => join(tmpdir(), `tivrel-aside-${pid}`);

/** Whether a folder is one, and ours: in a place that others write to, a name says nothing. */
function isOwn(path: string): boolean {
  const found = lstatSync(path, { throwIfNoEntry: false });
  return found?.isDirectory() === true && (process.getuid === undefined || found.uid === process.getuid());
}

/** Whether a process of that number runs. */
function runs(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (problem) {
    return (problem as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/** Takes away what nobody needs any more; what cannot be taken away keeps no server from starting. */
export function sweepAway(path: string): void {
  try {
    rmSync(path, { recursive: true, force: true });
  } catch (problem) {
    console.error((problem as Error).message);
  }
}

/** A new place for what is on its way; whoever asked for it lets it go. */
export function placeAside(): string {
  const folder = folderOf(process.pid);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  if (!isOwn(folder)) throw new Error(`${folder} belongs to somebody else.`);
  return mkdtempSync(join(folder, 'x-'));
}

/** Lets go of all that servers left on its way which run no more: they were killed. */
export function sweepAside(): void {
  for (const name of readdirSync(tmpdir())) {
    const pid = Number(NAME.exec(name)?.[1]);
    if (!pid || pid === process.pid || runs(pid)) continue;
    if (isOwn(folderOf(pid))) sweepAway(folderOf(pid));
  }
}

/** Lets go of all that this server has on its way, as it stops. */
export const leaveAside = (): void => {
  if (isOwn(folderOf(process.pid))) sweepAway(folderOf(process.pid));
};
