import type { Actor } from '$lib/server/access/actor.ts';
import type { Preferences } from '$lib/preferences';

declare global {
  namespace App {
    interface Locals {
      prefs: Preferences;
      /** Who this device stands for; left out where nobody has to sign in. */
      actor?: Actor;
      /** The passphrase has not opened this device yet. */
      closed?: boolean;
      requestId?: string;
    }
    interface Error {
      message: string;
    }
  }
}

export {};
