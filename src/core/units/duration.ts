/**
 * A wait as people say it: minutes under two hours, hours under two days, then days, each to the nearest whole one.
 *
 * @param minutes 0 or more.
 * @example sayMinutes(90) // "90 min"
 * @example sayMinutes(1440) // "24 h"
 * @example sayMinutes(4320) // "3 days"
 */
export const sayMinutes = (minutes: number): string =>
  minutes >= 2880
    ? `${Math.round(minutes / 1440)} days`
    : minutes >= 120
      ? `${Math.round(minutes / 60)} h`
      : `${Math.round(minutes)} min`;
