import { breakIn } from './break-in.ts';
import { seasonFlows } from './flows-season.ts';
import { serviceFlows } from './flows-service.ts';
import type { Flow } from './flow.ts';

/** Every short job, in the order they are offered. */
export const flows: readonly Flow[] = [...serviceFlows, ...seasonFlows, breakIn];
export const flowById = (id: string): Flow | undefined => flows.find((f) => f.id === id);
