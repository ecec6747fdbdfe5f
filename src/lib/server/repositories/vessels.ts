import { asc, ne } from 'drizzle-orm';
import { UNKNOWN_VESSEL, type NamedVessel } from '../../core/index.ts';
import type { Reader } from '../db.ts';
import { vessel } from '../schema.ts';

/** Vessels that can be chosen: those that ship by their height, then one's own. */
export async function allVessels(db: Reader): Promise<NamedVessel[]> {
  const rows = await db
    .select()
    .from(vessel)
    .where(ne(vessel.id, UNKNOWN_VESSEL.id))
    .orderBy(asc(vessel.createdAt), asc(vessel.innerHeightMm));
  return rows.map(toVessel);
}

/** The vessel without its bookkeeping. */
export function toVessel({ createdAt: _, ...row }: typeof vessel.$inferSelect): NamedVessel {
  return row;
}
