import { differenceOf, joinReplicates, type Fractions } from '../core/index.ts';
import type { LogLine } from '../contract/records/log.ts';

/** Jars of one soil by one method, beside each other. */
export type Replicates = {
  codes: string[];
  methodName: string;
  mean: Fractions;
  /** Largest difference between two of them, points. */
  spread: number;
  /** The two that differ by more than their errors allow, if any: in which part, and by how much, points. */
  apart: { codes: [string, string]; part: 'sand' | 'silt' | 'clay'; points: number; sure: number } | null;
};

/** Two jars differ where this much speaks for it: one pair in forty would by chance, to either side. */
const DIFFER_FROM = 0.975;

/** Finished jars of a sample by method, where there are two or more: whether they agree, with mean and spread. */
export function replicatesOf(lines: readonly LogLine[]): Replicates[] {
  const groups = new Map<string, (LogLine & { fractions: Fractions; errors: Fractions })[]>();
  for (const line of lines) {
    const { sand, silt, clay, sd, status, problem } = line;
    if (status !== 'finished' || problem !== null || sd === null) continue;
    if (sand === null || silt === null || clay === null) continue;
    const group = groups.get(line.methodKey) ?? [];
    group.push({ ...line, fractions: { sand, silt, clay }, errors: sd });
    groups.set(line.methodKey, group);
  }
  return [...groups.values()]
    .filter((group) => group.length > 1)
    .map((group) => {
      const inOrder = [...group].sort((a, b) => a.createdAt - b.createdAt);
      let apart: Replicates['apart'] = null;
      for (const [i, first] of inOrder.entries()) {
        for (const second of inOrder.slice(i + 1)) {
          const compared = [first, second].map((l) => ({
            sampleId: l.sampleId,
            methodKey: l.methodKey,
            basis: 'height' as const,
            fractions: l.fractions,
            sd: l.errors
          }));
          const { surest, points } = differenceOf(compared[0], compared[1]);
          if (surest.sure < DIFFER_FROM || surest.sure <= (apart?.sure ?? 0)) continue;
          apart = {
            codes: [first.code, second.code],
            part: surest.part,
            points: Math.abs(points[surest.part]),
            sure: surest.sure
          };
        }
      }
      return {
        codes: inOrder.map((l) => l.code),
        methodName: inOrder[0].methodName,
        ...joinReplicates(inOrder.map((l) => l.fractions)),
        apart
      };
    });
}
