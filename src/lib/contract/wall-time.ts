/**
 * A wall time without a zone, `YYYY-MM-DDTHH:MM`, where it names a moment of the calendar; null otherwise. A camera whose
 * clock was never set writes `0000-00-00T00:00`.
 */
export function readWallTime(text: string | null): string | null {
  const match = text && /^(\d{4}-\d\d-\d\d)T([01]\d|2[0-3]):[0-5]\d$/.exec(text);
  if (!match) return null;
  const day = new Date(`${match[1]}T00:00:00Z`);
  // A day that the calendar lacks is moved into the next month by some and refused by others.
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(match[1]) ? text : null;
}
