import { seedPhotos } from './photos.ts';
import { seed } from './seed.ts';

seed(new Date());
await seedPhotos();
