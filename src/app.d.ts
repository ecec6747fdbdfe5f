import type { MeasuredLine } from '$lib/ui/read/ruler.svelte';
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
      /** Kind of device, for the record. */
      who: string;
    }
  }
}

export {};
