import type { MeasuredLine } from '$lib/ui/read/form.svelte';
import type { Role } from '$lib/contract/records/person';
import type { Profile } from '$lib/words/profile';

declare global {
  namespace App {
    interface PageState {
      /** Lines that another page has measured for the reading that is opened. */
      measured?: MeasuredLine[];
    }
    interface Locals {
      profile: Profile;
      /** Time zone of the viewer, from a cookie the browser sets. */
      zone: string;
      /** Whether the passphrase was given, or none is asked for. */
      entered: boolean;
      /** Who it is; nobody by name where the bench has no people, or its passphrase was given. */
      person?: { id: string; name: string; role: Role };
      sessionId?: string;
      /** How many people are on the bench. */
      people: number;
      /** Kind of device. */
      device: string;
      /** Who did it, for the record: a name, or the kind of device. */
      who: string;
    }
  }
}

export {};
