import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { createRequire } from 'node:module';
import path from 'node:path';
import { tellTags } from './tagging.ts';

const require = createRequire(path.join(process.cwd(), 'package.json'));
const face = (file: string): string => require.resolve(`@fontsource/${file}.woff`);
const family = (normal: string, bold = normal) => ({
  normal: face(normal),
  bold: face(bold),
  italics: face(normal),
  bolditalics: face(bold)
});

let ready = false;
function prepare(): void {
  if (ready) return;
  pdfmake.addFonts({
    Barlow: family('barlow/files/barlow-latin-400-normal', 'barlow/files/barlow-latin-600-normal'),
    BarlowExt: family('barlow/files/barlow-latin-ext-400-normal', 'barlow/files/barlow-latin-ext-600-normal'),
    Greek: family('noto-sans/files/noto-sans-greek-400-normal', 'noto-sans/files/noto-sans-greek-600-normal'),
    Cyrillic: family('noto-sans/files/noto-sans-cyrillic-400-normal', 'noto-sans/files/noto-sans-cyrillic-600-normal'),
    CyrillicExt: family('noto-sans/files/noto-sans-cyrillic-ext-400-normal'),
    Devanagari: family('noto-sans/files/noto-sans-devanagari-400-normal'),
    Signs: family('noto-sans-math/files/noto-sans-math-latin-400-normal'),
    Hebrew: family('noto-sans-hebrew/files/noto-sans-hebrew-hebrew-400-normal'),
    Arabic: family('noto-sans-arabic/files/noto-sans-arabic-arabic-400-normal')
  });
  // Nothing is fetched: the fonts are local and a record holds no addresses.
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((file: string) => file.includes('@fontsource'));
  tellTags();
  ready = true;
}

export async function renderPdf(definition: TDocumentDefinitions): Promise<Buffer> {
  prepare();
  return pdfmake.createPdf(definition).getBuffer();
}
