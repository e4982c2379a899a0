import type { Readable } from 'node:stream';
import { promisify } from 'node:util';
import yauzl from 'yauzl';

const open = promisify<string, yauzl.Options, yauzl.ZipFile>(yauzl.open as never);
/** Opens a zip archive to be read entry by entry; sizes are held to, names that lead elsewhere are refused. */
export const openZip = (file: string): Promise<yauzl.ZipFile> =>
  open(file, { lazyEntries: true, autoClose: false, validateEntrySizes: true, strictFileNames: true });

/** The entries of an archive, one after the other. */
export async function* eachEntry(zip: yauzl.ZipFile): AsyncGenerator<yauzl.Entry> {
  for (;;) {
    const entry = await new Promise<yauzl.Entry | undefined>((resolve, reject) => {
      const off = (): void => {
        zip.removeListener('entry', found);
        zip.removeListener('end', end);
        zip.removeListener('error', failed);
      };
      const found = (e: yauzl.Entry): void => (off(), resolve(e));
      const end = (): void => (off(), resolve(undefined));
      const failed = (e: Error): void => (off(), reject(e));
      zip.once('entry', found).once('end', end).once('error', failed);
      zip.readEntry();
    });
    if (!entry) return;
    yield entry;
  }
}

/** One entry, unpacked as it is read. */
export const streamOf = (zip: yauzl.ZipFile, entry: yauzl.Entry): Promise<Readable> =>
  promisify<yauzl.Entry, Readable>(zip.openReadStream.bind(zip) as never)(entry);
