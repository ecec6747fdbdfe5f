import { spawn } from 'node:child_process';
import { createInterface } from 'node:readline';
import { createClient } from '@libsql/client';

/** What was acknowledged and is not there, or is there twice; and what else is wrong with the file. */
export type Killed = {
  kills: number;
  acknowledged: number;
  lost: string[];
  doubled: number;
  damage: string[];
};

/** Lets a writer write until so many ids were acknowledged, and kills it in the midst of the next. */
function killAfter(url: string, count: number): Promise<string[]> {
  return new Promise((resolve, reject) => {
    const child = spawn('node', ['--import', 'tsx', 'tests/hardening/writer.ts', url], {
      stdio: ['ignore', 'pipe', 'inherit']
    });
    const told: string[] = [];
    createInterface({ input: child.stdout }).on('line', (line) => {
      if (line !== 'ready') told.push(line);
      if (told.length === count) child.kill('SIGKILL');
    });
    child.on('error', reject);
    child.on('exit', () => resolve(told));
  });
}

/**
 * Kills a writer over and over in the midst of writing, and looks each time whether all that was acknowledged is there, once.
 *
 * @param file of a database that may not be there yet
 * @param random from 0 to under 1: how long each writes before it is killed
 */
export async function killLoop(file: string, kills: number, random: () => number): Promise<Killed> {
  const url = `file:${file}`;
  const all: string[] = [];
  const out: Killed = { kills: 0, acknowledged: 0, lost: [], doubled: 0, damage: [] };
  for (; out.kills < kills; out.kills++) {
    all.push(...(await killAfter(url, 1 + Math.floor(12 * random()))));
    const client = createClient({ url });
    const rows = (await client.execute('select id from sample')).rows.map((row) => String(row.id));
    const events = await client.execute("select count(*) as n from event where what = 'sample.add'");
    const check = await client.execute('pragma integrity_check');
    client.close();
    const there = new Set(rows);
    out.lost.push(...all.filter((id) => !there.has(id) && !out.lost.includes(id)));
    out.doubled = rows.length - there.size + Math.abs(Number(events.rows[0].n) - rows.length);
    if (check.rows[0].integrity_check !== 'ok') out.damage.push(String(check.rows[0].integrity_check));
  }
  return { ...out, acknowledged: all.length };
}
