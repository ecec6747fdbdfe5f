import { asc } from 'drizzle-orm';
import type { NamedVessel } from '../../core/index.ts';
import type { Reader } from '../db.ts';
import { vessel } from '../schema.ts';

export async function allVessels(db: Reader): Promise<NamedVessel[]> {
  const rows = await db.select().from(vessel).orderBy(asc(vessel.createdAt), asc(vessel.innerHeightMm));
  return rows.map(toVessel);
}

/** The vessel without its bookkeeping. */
export function toVessel({ createdAt: _, ...row }: typeof vessel.$inferSelect): NamedVessel {
  return row;
}
