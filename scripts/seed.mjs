// npm run seed: the demo yard into the database of INDAGA_DATA.
import { bin, install, run } from './tools.mjs';

install();
run(bin('tsx'), ['demo/seed-cli.ts']);
