import type { TDocumentDefinitions, Content } from 'pdfmake/interfaces.js';
import type { RecordView } from '../record.ts';
import { figureSvg } from './figure-svg.ts';
import type { picturesFor } from './pictures.ts';
import { inFonts, type FontRun } from './script-runs.ts';
import type { Tag } from './tagging.ts';

/** Text in faces that have its letters, each run of which says what it is. */
const tagged = (text: string, tag: Tag): (FontRun & { readonly tag: Tag })[] =>
  inFonts(text).map((run) => ({ ...run, tag }));
const title = (text: string): (FontRun & { readonly tag: Tag })[] => tagged(text, { type: 'H1' });
const paragraph = (text: string): (FontRun & { readonly tag: Tag })[] => tagged(text, { type: 'P' });

const heading = (text: string, first = false): Content => ({
  text: tagged(text, { type: 'H2' }),
  style: 'h2',
  headlineLevel: 1,
  ...(first ? {} : { margin: [0, 12, 0, 4] })
});
const list = (lines: readonly string[]): Content => {
  const all: Tag = { type: 'L' };
  return {
    ul: lines.map((l) => ({
      text: tagged(l, { type: 'LBody', within: { type: 'LI', within: all } }),
      margin: [0, 1, 0, 1]
    }))
  };
};
const table = (head: readonly string[], rows: readonly (readonly string[])[], widths: (string | number)[]): Content => {
  const all: Tag = { type: 'Table' };
  const row = (cells: readonly string[], type: 'TH' | 'TD') => {
    const within: Tag = { type: 'TR', within: all };
    return cells.map((cell) => ({ text: tagged(cell, { type, within }), bold: type === 'TH' }));
  };
  return {
    layout: 'lightHorizontalLines',
    table: { headerRows: 1, widths, body: [row(head, 'TH'), ...rows.map((r) => row(r, 'TD'))] }
  };
};

/** A picture or figure that says what it is; the layout hands on what it does not know. */
const pictured = <T extends object>(content: T, tag: Tag): T & { readonly tag: Tag } => ({ ...content, tag });

const pairs = <T>(list: readonly T[]): T[][] =>
  Array.from({ length: Math.ceil(list.length / 2) }, (_, k) => list.slice(2 * k, 2 * k + 2));

/** What the square code on a record says: enough to ask `verify --head` for it years later. */
export const sealText = (r: {
  readonly seq: number | null;
  readonly chain: string | null;
  readonly hash: string;
}): string => `indaga record ${r.seq ?? '-'} chain ${r.chain ?? '-'} sha256 ${r.hash}`;

/** The printable record: the owner's page first, then the record with its hash on every page. */
export async function recordPdf(
  { report: r, release }: RecordView,
  { pictures, more }: Awaited<ReturnType<typeof picturesFor>> = { pictures: [], more: 0 }
): Promise<Buffer> {
  const signed = release
    ? `Ready for service, signed by ${release.signedBy} on ${release.at.slice(0, 16).replace('T', ' ')} UTC.`
    : 'Preview: not signed. This is how it stands now.';
  const content: Content[] = [
    { text: title(`${r.tag}: for the owner`), style: 'h1' },
    { text: paragraph(r.owner.greeting), margin: [0, 4, 0, 4] },
    heading('What was found'),
    list(r.owner.found),
    heading('What was done'),
    list(r.owner.done),
    heading('What is left'),
    list(r.owner.left),
    heading('What comes next'),
    list(r.owner.next),
    {
      text: paragraph(
        'The maker’s manual and local rules stand above this record. Run outdoors only; keep clear of the propeller.'
      ),
      margin: [0, 16, 0, 0],
      italics: false,
      fontSize: 9.5
    },
    { text: title(`Record of the assessment: ${r.tag}`), style: 'h1', pageBreak: 'before' },
    { text: paragraph(`${r.kind}. ${signed}`), margin: [0, 2, 0, 6] },
    ...(release?.chain
      ? [
          {
            columns: [
              { qr: sealText(release), fit: 84, width: 96 },
              {
                text: paragraph(
                  `Record ${release.seq ?? ''} of the yard. Its link in the chain of all records, by which it is found again: ${release.chain}`
                ),
                fontSize: 8.5
              }
            ],
            margin: [0, 2, 0, 8]
          } satisfies Content
        ]
      : []),
    heading('Engine', true),
    table(['What', 'Value'], r.engine, ['40%', '*']),
    ...(r.decisions?.length
      ? [
          heading('Decided'),
          list(r.decisions.map((d) => `${d.title}, ${d.at.slice(0, 10)}${d.by ? `, ${d.by}` : ''}: ${d.reason}`))
        ]
      : []),
    ...(r.overrides.length
      ? [
          heading('Holds that were overridden'),
          list(r.overrides.map((o) => `${o.title}: ${o.reason}${o.by ? ` (${o.by})` : ''}`))
        ]
      : []),
    heading('Gates'),
    table(
      ['Gate', 'Condition', 'Why'],
      r.gates.map((g) => [g.title, g.word, g.sentence + (g.reason ? ` Left open because: ${g.reason}` : '')]),
      [80, 62, '*']
    ),
    ...(r.beforeAfter.length
      ? [
          heading('Before and after'),
          table(
            ['Reading', 'Before', 'After', 'Which says'],
            r.beforeAfter.map((b) => [b.label, b.before, b.after, b.said ?? '']),
            ['*', 105, 105, 105]
          )
        ]
      : []),
    ...(r.figures ?? []).flatMap((f): Content[] => [
      heading(f.title),
      pictured({ svg: figureSvg(f), width: 440 }, { type: 'Figure', alt: `${f.title}: ${f.says}.` }),
      { text: paragraph(`${f.says}.`), fontSize: 9.5 }
    ]),
    heading('Findings'),
    table(
      ['Check', 'Condition', 'Finding'],
      r.findings.map((f) => [f.station, f.word, f.sentence + (f.limit ? ` Judged against ${f.limit}.` : '')]),
      [80, 62, '*']
    ),
    ...(r.jobs.length
      ? [heading('Jobs'), list(r.jobs.map((j) => `${j.title}: ${j.state}${j.note ? `. ${j.note}` : ''}`))]
      : []),
    ...(r.tray?.length
      ? [
          heading('What came off, in order'),
          table(
            ['', 'Part', 'Became'],
            r.tray.map((t, k) => [String(k + 1), t.part, t.state + (t.note ? `: ${t.note}` : '')]),
            [18, '*', 150]
          )
        ]
      : []),
    heading(`Readings, ${r.readings.length}${r.superseded ? `; ${r.superseded} corrected or taken back` : ''}`),
    table(
      ['Check', 'Reading', 'Value', 'When, by whom, how'],
      r.readings.map((x) => [
        x.station,
        x.label,
        x.value,
        [x.at.slice(0, 16).replace('T', ' '), x.by, x.with].filter(Boolean).join(', ')
      ]),
      [70, '*', 120, 130]
    ),
    ...(pictures.length
      ? [heading(`Photographs, ${pictures.length}${more ? ` of ${pictures.length + more}` : ''}`)]
      : []),
    ...pairs(pictures).map((pair): Content => ({
      columns: pair.map((p) => ({
        stack: [
          pictured({ image: p.image, fit: [240, 200] as [number, number] }, { type: 'Figure', alt: p.label }),
          { text: tagged(`${p.label}, ${p.at.slice(0, 16).replace('T', ' ')}`, { type: 'Caption' }), fontSize: 9 }
        ],
        margin: [0, 0, 0, 10]
      })),
      columnGap: 16,
      unbreakable: true
    })),
    ...(more ? [{ text: paragraph(`${more} more are in the bundle of this assessment.`) }] : [])
  ];
  const definition: TDocumentDefinitions = {
    info: { title: `Record ${r.tag}` },
    language: 'en',
    // Read out, it has headings, lists, tables and words for its pictures; page feet and rules are left out.
    tagged: true,
    displayTitle: true,
    version: '1.7',
    // A heading stays with what it is the heading of.
    pageBreakBefore: (node, nodes) =>
      node.headlineLevel === 1 &&
      nodes.getFollowingNodesOnPage().length === 0 &&
      nodes.getPreviousNodesOnPage().length > 0,
    pageSize: 'A4',
    pageMargins: [48, 48, 48, 56],
    defaultStyle: { font: 'Barlow', fontSize: 10.5, lineHeight: 1.15, color: '#14273f' },
    styles: { h1: { fontSize: 20, bold: true }, h2: { fontSize: 13, bold: true } },
    content,
    footer: (page, pages) => ({
      columns: [
        {
          text: release
            ? `SHA-256 ${release.hash}${release.chain ? `  ·  chain ${release.chain.slice(0, 16)}` : ''}`
            : 'not signed',
          fontSize: 7.5
        },
        { text: `${page} / ${pages}`, alignment: 'right', width: 40, fontSize: 9 }
      ],
      margin: [48, 14, 48, 0]
    })
  };
  // What draws a PDF is loaded with the first one: a page or a thread that draws none starts without it.
  const { renderPdf } = await import('./render.ts');
  return renderPdf(definition);
}
