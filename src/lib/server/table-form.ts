import { z } from 'zod';
import { DAY_ORDERS, DECIMALS, TABLE_FIELDS, TABLE_FIGURES } from '../formats/table/columns.ts';
import { TABLE_MOST } from '../formats/table/text.ts';
import { refusals } from '../words/refusals.ts';
import type { TableFile } from './imports.ts';
import { CommandProblem } from './problem.ts';

const lengthUnit = z.enum(['mm', 'cm', 'in']);
const rowNo = z.coerce.number().int().min(0).max(TABLE_MOST.rows);
const matching = z.object({
  head: rowNo,
  fields: z.array(z.enum([...TABLE_FIELDS, ''])).max(TABLE_MOST.columns),
  figures: z.enum(TABLE_FIGURES),
  unit: lengthUnit,
  depthUnit: lengthUnit,
  decimals: z.enum(DECIMALS),
  days: z.enum(DAY_ORDERS)
});

function readAs<T>(shape: z.ZodType<T>, text: FormDataEntryValue | null): T | undefined {
  if (text === null) return undefined;
  try {
    return shape.parse(JSON.parse(String(text)));
  } catch {
    throw new CommandProblem(refusals.imports.badMatching, { matching: refusals.imports.badMatching });
  }
}

/**
 * A table as a form brings it: `file`, and how it is read in `matching`, or in `head` alone the row that names its columns.
 *
 * @throws {CommandProblem} where it brings none
 */
export async function tableOf(
  request: Request,
  o: { usual: TableFile['usual']; now: number }
): Promise<{ form: FormData; file: TableFile; name: string }> {
  const form = await request.formData().catch(() => undefined);
  const file = form?.get('file');
  if (!form || !(file instanceof File)) {
    throw new CommandProblem(refusals.imports.noFile, { file: refusals.imports.noFile }, 400);
  }
  const bytes = new Uint8Array(await file.arrayBuffer());
  const name = file.name.replaceAll(/[\p{C}/\\]/gu, '').slice(0, 80) || 'table';
  const how = { matching: readAs(matching, form.get('matching')), head: readAs(rowNo, form.get('head')) };
  return { form, file: { bytes, ...how, ...o }, name };
}
