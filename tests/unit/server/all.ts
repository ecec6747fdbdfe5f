import type { LogLine } from '../../../src/lib/contract/records/log.ts';
import type { SampleRecord } from '../../../src/lib/contract/records/sample.ts';
import { logCsvParts } from '../../../src/lib/formats/log-csv.ts';
import type { Reader } from '../../../src/lib/server/db.ts';
import { eachSample } from '../../../src/lib/server/repositories/samples.ts';

/** All that comes so many at a time, as one list. */
export async function all<T>(lists: AsyncIterable<readonly T[]>): Promise<T[]> {
  const out: T[] = [];
  for await (const list of lists) out.push(...list);
  return out;
}

/** All parts of a text. */
export async function whole(parts: AsyncIterable<string>): Promise<string> {
  let text = '';
  for await (const part of parts) text += part;
  return text;
}

/** A list as it comes where there is little. */
async function* atOnce<T>(list: readonly T[]): AsyncGenerator<readonly T[]> {
  yield list;
}

export const allSamples = (db: Reader): Promise<SampleRecord[]> => all(eachSample(db));

/** Lines of the log as a file of CSV. */
export const csvOf = (lines: readonly LogLine[]): Promise<string> => whole(logCsvParts(atOnce(lines)));
