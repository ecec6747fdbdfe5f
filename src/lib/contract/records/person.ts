/** What somebody may do: everything; the work of the bench; look. */
export const ROLES = ['keeper', 'helper', 'reader'] as const;
export type Role = (typeof ROLES)[number];

/** Somebody on the bench, as others see them. */
export type PersonRecord = {
  id: string;
  name: string;
  role: Role;
  createdAt: number;
  endedAt: number | null;
  /** Whether a passphrase is there: without one a new invitation is needed. */
  comesIn: boolean;
};

export type InviteRecord = { id: string; role: Role; who: string; createdAt: number; expiresAt: number };

/** A device that is in. */
export type SessionRecord = {
  id: string;
  personId: string | null;
  name: string | null;
  device: string;
  createdAt: number;
  seenAt: number;
  /** It is the one that asks. */
  own: boolean;
};

/** What is told of a device that nobody's name is known of. */
const DEVICES = ['phone', 'computer'] as const;
export const isDevice = (who: string): boolean => DEVICES.some((device) => device === who);
