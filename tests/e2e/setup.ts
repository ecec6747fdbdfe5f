import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A folder that all workers of a run share: the demo scenario is made in it once. */
export default function setup(): () => void {
  const folder = mkdtempSync(join(tmpdir(), 'tivrel-demo-'));
  process.env.TIVREL_E2E_SHARED = folder;
  return () => rmSync(folder, { recursive: true, force: true });
}
