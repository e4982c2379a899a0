// Which Chromium a script drives. Plain Node, so that it runs before anything is installed.
import fs from 'node:fs';

const whole = '/usr/bin/chromium';
/** The same browser without its windows: it starts faster and takes about a third less of the processor. */
export const shell = '/usr/bin/chromium-headless-shell';

const firstOf = (paths) => paths.find((p) => fs.existsSync(p)) ?? paths[0];

/** Path of the browser for tests: the one of CHROMIUM, else the headless one where it is installed. */
export const testBrowser = () => process.env.CHROMIUM ?? firstOf([shell, whole]);

/** Path of the browser for pictures and for measuring: the whole one, as people use it, where it is installed. */
export const wholeBrowser = () => process.env.CHROMIUM ?? firstOf([whole, shell]);
