// npm run docs: writes the JSON Schema, the example surveys and the list of sources that docs/ holds.
import { bin, install, run } from './tools.mjs';

install();
run(bin('tsx'), ['src/cli/docs.ts']);
