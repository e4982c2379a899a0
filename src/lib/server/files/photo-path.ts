import path from 'node:path';

/** Where a kept photograph, or its thumbnail, lies under a data directory. */
export const photoPath = (directory: string, photo: string, size: 'full' | 'thumb' = 'full'): string =>
  path.join(directory, 'photos', photo.slice(0, 2), `${photo}${size === 'thumb' ? '.thumb' : ''}.jpg`);
