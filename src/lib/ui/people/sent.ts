import type { Role } from '$lib/contract/records/person';

/** What a form of these pages came back with: what was wrong and what was typed, or what was made. */
export type Sent = {
  errors?: Record<string, string>;
  typed?: Record<string, string>;
  code?: string;
  role?: Role;
  changed?: boolean;
};

/** The same by one type, whichever form was sent. */
export const sentOf = (form: unknown): Sent => (form ?? {}) as Sent;
