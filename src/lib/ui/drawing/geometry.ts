import { cylinderCount, type Profile } from '$core/engine/profile.ts';
import type { DrawingPlace } from '$core/stations/station.ts';
import type { PlaceId } from '$core/stations/look/places.ts';

/** Places on the elevation, in drawing units (200 wide). Everything follows from the profile. */
export interface Geometry {
  readonly height: number;
  /** Top of the anti-ventilation plate. */
  readonly plate: number;
  readonly banks: readonly (readonly { readonly cylinder: number; readonly x: number; readonly y: number }[])[];
  readonly barrel: { readonly width: number; readonly height: number };
  readonly anchors: Readonly<Record<DrawingPlace, readonly [number, number]>>;
}

const LEG = { short: 128, long: 158, 'extra-long': 184, unknown: 140 } as const;

/** Lays out one engine: barrels stacked along the upright crank, one column a bank, the leg by its length. */
export function geometryOf(profile: Profile): Geometry {
  const count = cylinderCount(profile) ?? 1;
  const v = profile.layout === 'v' || (profile.layout !== 'inline' && count >= 6);
  const perBank = v ? Math.ceil(count / 2) : count;
  const top = 62;
  const room = 92;
  const pitch = Math.min(34, room / perBank);
  const barrel = { width: v ? 30 : 52, height: Math.min(24, pitch - 4) };
  const first = top + (room - pitch * (perBank - 1)) / 2;
  const column = (offset: number, step: number, x: number, shift: number) =>
    Array.from({ length: Math.ceil((count - offset) / step) }, (_, k) => ({
      cylinder: 1 + offset + k * step,
      x,
      y: first + k * pitch + shift
    }));
  const banks = (v ? [column(0, 2, 92, -2), column(1, 2, 126, 2)] : [column(0, 1, 98, 0)]).filter(
    (bank) => bank.length > 0
  );
  const plate = 176 + LEG[profile.leg ?? 'unknown'];
  const height = plate + 104;
  const middle = banks[0]![Math.floor((banks[0]!.length - 1) / 2)]!;
  const end = banks.at(-1)![0]!;
  return {
    height,
    plate,
    banks,
    barrel,
    anchors: {
      'cowl top': [118, 22],
      'cowl side': [150, 27],
      flywheel: [70, 47],
      plug: [end.x + barrel.width + 2, end.y - 9],
      'plug lead': [end.x + barrel.width + 17, end.y + 8],
      cylinder: [middle.x - 14, middle.y],
      'gear case': [118, plate + 40],
      'fuel line': [58, 140],
      'water intake': [76, plate + 17],
      sump: [116, 170],
      propeller: [178, plate + 40]
    }
  };
}

/** Where each place of the walk stands on the elevation, in drawing units; far enough apart for a thumb. */
export function placesOn(profile: Profile): Readonly<Record<PlaceId, readonly [number, number]>> {
  const { plate } = geometryOf(profile);
  return {
    cowl: [112, 30],
    wiring: [158, 76],
    hoses: [158, 130],
    bulb: [28, 106],
    strainer: [74, 130],
    mounts: [62, 236],
    swivel: [74, 190],
    linkage: [22, 172],
    anodes: [150, plate - 14],
    propeller: [182, plate + 62],
    hub: [152, plate + 36],
    twist: [184, plate + 12],
    skeg: [108, plate + 84],
    case: [98, plate + 30]
  };
}
