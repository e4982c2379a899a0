/** The top row of the keyboard, left to right: one key a check, in working order. */
export const stationKeys = [...'1234567890-='];
