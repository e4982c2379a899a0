import type { DemoEngine } from '../builder.ts';
import { eel, heron } from './drowned.ts';
import { dunlin, knot, plover } from './leg.ts';
import { bittern, gannet, wren } from './power-head.ts';
import { avocet } from './lay-up.ts';
import { fulmar } from './break-in.ts';
import { curlew } from './back-in-service.ts';
import { swift, tern } from './sound.ts';

/** The yard at Saltgarth after the storm tide; all of it made up. */
export const scenario: readonly DemoEngine[] = [
  eel,
  heron,
  wren,
  bittern,
  plover,
  dunlin,
  knot,
  gannet,
  tern,
  avocet,
  fulmar,
  curlew,
  swift
];
