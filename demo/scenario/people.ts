import type { Role } from '../../src/lib/contract/records/person.ts';
import type { Purpose } from '../../src/lib/contract/records/sample.ts';

/** The crew, by what they are there for. They have no passphrase: the demo is open, and an invitation brings each back. */
export const people: { name: string; role: Role; does: Purpose[] }[] = [
  { name: 'Lamp keeper', role: 'keeper', does: ['bore', 'lesson'] },
  { name: 'Garden crew', role: 'helper', does: ['garden'] },
  { name: 'Wall crew', role: 'helper', does: ['build'] }
];
