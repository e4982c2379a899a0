import type { Cookies } from '@sveltejs/kit';

export const DEVICE = 'indaga-device';

/** Puts a device's token where only this server reads it. */
export const keepDevice = (cookies: Cookies, token: string, url: URL): void =>
  cookies.set(DEVICE, token, {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    secure: url.protocol === 'https:',
    maxAge: 400 * 24 * 3600
  });
