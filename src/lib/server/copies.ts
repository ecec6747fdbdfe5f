import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { z } from 'zod';
import { copiesToLetGo, isCopyDue, type DayCopy } from '../workbench/copies.ts';
import { serverNow } from './clock.ts';
import { sweepAway } from './aside.ts';
import type { Copy } from './backup.ts';
import { CommandProblem } from './problem.ts';
import { Thread } from './thread.ts';
import type { CopyAsked } from './threads/backup.thread.ts';
import { refusals } from '../words/refusals.ts';

const thread = new Thread<CopyAsked, Copy | { problem: string }>('backup');

/** What is written beside a copy once it was looked through. */
const held = z.object({ at: z.number(), tests: z.number(), samples: z.number() });

/** How often it is looked whether a copy is due, and when first, ms. */
const LOOK = { every: 3_600_000, first: 60_000 };

/** What a copy is called until it is whole, with the files beside it; and how long one by hand may take, ms. */
const HALF_MADE = /\.part(-wal|-shm|-journal)?$/;
const HALF_MADE_MS = 3_600_000;

/** The copies of a database, in a folder of their own. */
export class Copies {
  /** Why the last one could not be made. */
  problem: string | undefined;
  #making: Promise<DayCopy> | undefined;

  constructor(
    private file: string,
    private root: string
  ) {}

  get folder(): string {
    return join(dirname(this.file), 'backups', basename(this.file, '.db'));
  }

  /** Those that are whole, the newest first. */
  list(): DayCopy[] {
    const copies = namesIn(this.folder).flatMap((name): DayCopy[] => {
      if (!name.endsWith('.json')) return [];
      const own = name.replace(/json$/, 'db');
      const path = join(this.folder, own);
      const said = held.safeParse(readJson(join(this.folder, name)));
      if (!said.success || !existsSync(path)) return [];
      return [{ name: own, bytes: statSync(path).size, ...said.data }];
    });
    return copies.sort((a, b) => b.at - a.at);
  }

  /**
   * Makes a copy, looks through it, and lets go of those that are too many.
   *
   * @throws {CommandProblem} in a sentence; then all that were there are there
   */
  make(now: number): Promise<DayCopy> {
    // Pressed twice it is made once.
    this.#making ??= this.#make(now).finally(() => (this.#making = undefined));
    return this.#making;
  }

  async #make(now: number): Promise<DayCopy> {
    const name = `${new Date(now).toISOString().slice(0, 19).replaceAll(':', '')}.db`;
    const target = join(this.folder, name);
    const there = this.list().find((copy) => copy.name === name);
    if (there) return there;
    const made = await thread.ask({ file: this.file, target, root: this.root });
    if ('problem' in made) throw this.failed(made.problem);
    const own = { at: now, tests: made.rows.test ?? 0, samples: made.rows.sample ?? 0 };
    try {
      writeFileSync(target.replace(/db$/, 'json'), JSON.stringify(own));
    } catch {
      // Without what was found in it nobody would know of it, nor let it go.
      rmSync(target, { force: true });
      throw this.failed(refusals.database.diskFull);
    }
    this.problem = undefined;
    for (const old of copiesToLetGo(this.list())) {
      for (const end of ['db', 'json'])
        rmSync(join(this.folder, old.name.replace(/db$/, end)), { force: true });
    }
    return { name, bytes: statSync(target).size, ...own };
  }

  private failed(message: string): CommandProblem {
    this.problem = message;
    return new CommandProblem(message, {}, 507);
  }

  /**
   * Lets go of what was left half made when a server was killed. This one is alone on the database, so nobody makes it any more;
   * what lies beside is somebody's own backup, and may be on its way for an hour.
   */
  sweep(): void {
    const beside = dirname(this.folder);
    for (const [folder, atLeastMs] of [
      [this.folder, 0],
      [beside, HALF_MADE_MS]
    ] as const)
      for (const name of namesIn(folder)) {
        const path = join(folder, name);
        const found = HALF_MADE.test(name) ? statSync(path, { throwIfNoEntry: false }) : undefined;
        if (found && Date.now() - found.mtimeMs >= atLeastMs) sweepAway(path);
      }
  }

  /** Makes one a day from now on, as long as the server runs. */
  keepMaking(): void {
    const look = () => {
      if (!isCopyDue(this.list(), serverNow())) return;
      // What stands in its way is shown, and it is tried again at the next look.
      this.make(serverNow()).catch((problem: Error) => console.error(problem.message));
    };
    setTimeout(look, LOOK.first).unref();
    setInterval(look, LOOK.every).unref();
  }
}

/** What is in a folder; nothing where it is not there, or cannot be read. */
function namesIn(folder: string): string[] {
  try {
    return readdirSync(folder);
  } catch {
    return [];
  }
}

function readJson(file: string): unknown {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return undefined;
  }
}

let own: Copies | undefined;

/** The copies of the database that is served; none where it is on a server of its own. */
export function copiesOf(file: string | undefined, root: string): Copies | undefined {
  if (!file) return undefined;
  return (own ??= new Copies(file, root));
}

/** The same, for who asks for one. @throws {CommandProblem} where there can be none */
export function requireCopies(file: string | undefined, root: string): Copies {
  const copies = copiesOf(file, root);
  if (!copies) throw new CommandProblem(refusals.api.noCopies, {}, 409);
  return copies;
}
