import type { Preferences } from '$lib/preferences';

declare global {
  namespace App {
    interface Locals {
      prefs: Preferences;
    }
    interface Error {
      message: string;
    }
  }
}

export {};
