import type { Arm } from '$core/instruments/capture.ts';
import type { SignalName } from '$core/instruments/signals.ts';
import type { System } from '$core/units/index.ts';
import type { RecorderOptions } from './recorder.svelte.ts';

/** What a sheet says of the instruments that may enter its readings. */
export interface StripProps {
  /** What stands beside what they measure. */
  readonly record?: RecorderOptions;
  readonly units: System;
  /** Instruments of this sheet; what else is live is counted only. */
  readonly names: readonly SignalName[];
  readonly arms: readonly { readonly label: string; readonly arm: Arm }[];
  /** What is armed, in words. */
  readonly armed: (arm: Arm) => string;
  /** Why nothing may be armed now. */
  readonly stop?: string | undefined;
}
