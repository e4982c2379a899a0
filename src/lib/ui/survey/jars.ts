import { known } from '$core/engine/profile.ts';
import type { Context } from '$core/findings/context.ts';

export interface Layer {
  readonly share: number;
  readonly tint: string;
  readonly words: string;
}

const oils: Readonly<Record<string, readonly [tint: string, words: string]>> = {
  clear: ['#d9a441', 'clear oil'],
  dark: ['#5a3f1c', 'dark oil'],
  milky: ['#d8cdb4', 'milky oil'],
  creamy: ['#efe6cf', 'cream'],
  metallic: ['#8d8a7c', 'oil with metal in it'],
  burnt: ['#2c1d10', 'burnt oil']
};
const fuels: Readonly<Record<string, readonly [tint: string, words: string]>> = {
  clear: ['#f1d98a', 'clear fuel'],
  cloudy: ['#e3dcc4', 'cloudy fuel'],
  dark: ['#7a5218', 'varnish'],
  layers: ['#f1d98a', 'fuel']
};
/** The tints of gear oil, for the scale of drawn jars. */
export const oilTints: Readonly<Record<string, string>> = Object.fromEntries(
  Object.entries(oils).map(([k, [tint]]) => [k, tint])
);
const WATER = '#9cc7d8';

/** The gear-oil jar: free water under the oil that was drained with it. */
export function gearJar(c: Context): Layer[] | undefined {
  const look = oils[String(c.record.value('gear.look'))];
  const water = known(c.record.value('gear.water')) ?? 0;
  const drained = known(c.record.value('gear.drained'));
  if (!look && !water) return undefined;
  const share = water ? Math.min(0.95, water / Math.max(drained ?? water * 4, water)) : 0;
  const oil = { share: 1 - share, tint: look?.[0] ?? '#d9a441', words: look?.[1] ?? 'oil' };
  return share ? [oil, { share, tint: WATER, words: 'free water' }] : [oil];
}

/** The fuel jar: water settles below. */
export function fuelJar(c: Context): Layer[] | undefined {
  const look = c.record.value('fuel.jar');
  const measured = known(c.record.value('fuel.jarWater'));
  if (!look && measured === undefined) return undefined;
  const share = measured ?? (look === 'layers' ? 0.2 : 0);
  const [tint, words] = fuels[String(look)] ?? fuels.clear!;
  const top = { share: 1 - share, tint, words };
  return share > 0
    ? [top, { share, tint: WATER, words: measured === undefined ? 'lower layer, not measured' : 'water' }]
    : [top];
}
