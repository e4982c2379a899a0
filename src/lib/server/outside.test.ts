import ICAL from 'ical.js';
import jsQR from 'jsqr';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { PNG } from 'pngjs';
import QRCode from 'qrcode';
import { describe, expect, it } from 'vitest';
import { surveyOf } from '../../../demo/build.ts';
import { scenario } from '../../../demo/scenario/index.ts';
import { assess } from '../../core/assess.ts';
import { dueList } from '../../core/care/due.ts';
import { reportOf } from '../../core/report/report.ts';
import { calendarText } from './care.ts';
import sharp from 'sharp';
import { recordPdf } from './reports/pdf.ts';

const now = new Date('2026-04-18T14:00:00.000Z');
const survey = (key: string) =>
  surveyOf(
    scenario.find((e) => e.key === key)!,
    now
  );

async function textOf(pdf: Buffer): Promise<string[]> {
  const doc = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let k = 1; k <= doc.numPages; k++) {
    const { items } = await (await doc.getPage(k)).getTextContent();
    pages.push(
      items
        .map((i) => ('str' in i ? i.str : ''))
        .join(' ')
        .replace(/\s+/g, ' ')
    );
  }
  return pages;
}

describe('the report of an engine back in service, read by an independent reader of PDF', () => {
  it('says to the owner what was found, done, left and next, and to a colleague what it rests on', async () => {
    const report = reportOf(assess(survey('curlew'), now, 'metric'));
    const release = {
      id: 'x',
      surveyId: 's',
      signedBy: 'Ines',
      at: now.toISOString(),
      hash: 'ab'.repeat(32),
      chain: 'cd'.repeat(32),
      seq: 1
    };
    const pages = await textOf(await recordPdf({ report, release }));
    const all = pages.join(' ');
    const flat = (s: string): string => s.replace(/\s+/g, ' ');
    for (const line of [...report.owner.found, ...report.owner.done, ...report.owner.left, ...report.owner.next])
      expect(pages[0]!.replace(/ /g, '')).toContain(flat(line).replace(/ /g, ''));
    for (const g of report.gates) expect(all.replace(/ /g, '')).toContain(g.title.replace(/ /g, ''));
    for (const b of report.beforeAfter) expect(all.replace(/ /g, '')).toContain(b.label.replace(/ /g, ''));
    expect(all).toContain('Leg bolt');
    expect(all).toContain('cyl 2');
    for (const p of pages) expect(p).toContain(release.hash);
    expect(all).not.toMatch(/undefined|NaN|\[object/);
  });
  it('says every reading that the record says, in any script, and shows the photographs', async () => {
    const base = survey('wren');
    const report = reportOf(
      assess({ ...base, engine: { ...base.engine, identity: { tag: 'Λ', owner: 'Борис ≤ Ω' } } }, now, 'us')
    );
    const image = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#385' } })
      .jpeg()
      .toBuffer();
    const pictures = [1, 2, 3].map((k) => ({
      label: `Magnet ${k}`,
      at: '2026-04-18T10:00:00.000Z',
      image: `data:image/jpeg;base64,${image.toString('base64')}`
    }));
    const pdf = await recordPdf({ report, release: undefined }, { pictures, more: 2 });
    const all = (await textOf(pdf)).join(' ').replace(/\s/g, '');
    for (const r of report.readings) expect(all).toContain(r.value.replace(/\s/g, ''));
    for (const word of ['Λ', 'Борис', '≤', 'Ω', 'Magnet3', '2moreareinthebundle']) expect(all).toContain(word);
    expect(all).not.toContain('¤');
    const plain = await recordPdf({ report, release: undefined });
    expect(pdf.length).toBeGreaterThan(plain.length + 500);
  });
  it('is tagged: headings, lists, tables and words for pictures, in a language, in the order it is read', async () => {
    const report = reportOf(assess(survey('curlew'), now, 'metric'));
    const image = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#385' } })
      .jpeg()
      .toBuffer();
    const picture = {
      label: 'Magnet, wiped',
      at: now.toISOString(),
      image: `data:image/jpeg;base64,${image.toString('base64')}`
    };
    const pdf = await recordPdf({ report, release: undefined }, { pictures: [picture], more: 0 });
    const doc = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise;
    expect(await doc.getMarkInfo()).toMatchObject({ Marked: true });
    expect((await doc.getMetadata()).info).toMatchObject({ Language: 'en', Title: `Record ${report.tag}` });
    const said = new Map<string, string[]>();
    for (let k = 1; k <= doc.numPages; k++) {
      const page = await doc.getPage(k);
      const texts = new Map<string, string>();
      let at: string | undefined;
      const { items } = await page.getTextContent({ includeMarkedContent: true });
      let loose = '';
      const open: (string | undefined)[] = [];
      for (const i of items)
        if ('str' in i) {
          if (at) texts.set(at, (texts.get(at) ?? '') + i.str);
          else if (!open.length) loose += i.str;
        } else if (i.type === 'endMarkedContent') {
          open.pop();
          at = open.at(-1);
        } else {
          open.push(i.id);
          at = i.id;
        }
      // Nothing is drawn that neither belongs somewhere nor is marked as decoration.
      expect(loose.trim()).toBe('');
      const walk = (node: unknown): void => {
        const { role, alt, children = [] } = node as { role: string; alt?: string; children?: unknown[] };
        const own = children.map((c) => texts.get((c as { id?: string }).id ?? '') ?? '').join('');
        if (alt ?? own) said.set(role, [...(said.get(role) ?? []), alt ?? own]);
        for (const c of children) if ((c as { role?: string }).role) walk(c);
      };
      walk(await page.getStructTree());
    }
    const flat = (list: readonly string[] = []): string[] => list.map((x) => x.replace(/\s+/g, ''));
    expect(flat(said.get('H1'))).toEqual(
      flat([`${report.tag}: for the owner`, `Record of the assessment: ${report.tag}`])
    );
    expect(flat(said.get('H2'))).toEqual(
      expect.arrayContaining(flat(['What was found', 'Engine', 'Gates', 'Findings']))
    );
    for (const line of report.owner.found) expect(flat(said.get('LBody'))).toContain(flat([line])[0]);
    for (const g of report.gates) expect(flat(said.get('TD'))).toContain(flat([g.title])[0]);
    expect(flat(said.get('TH')).filter((x) => x === 'Gate')).toHaveLength(1);
    expect(said.get('Figure')).toContain('Magnet, wiped');
    // The hash at the foot of each page is no part of what is read out.
    expect(flat([...said.values()].flat()).join()).not.toContain('notsigned1/');
  });
  it('a preview says on every page that nobody signed it', async () => {
    const report = reportOf(assess(survey('wren'), now, 'us'));
    for (const page of await textOf(await recordPdf({ report, release: undefined })))
      expect(page).toContain('not signed');
  });
});

describe('the calendar, parsed by an independent library', () => {
  const care = (key: string) => ({
    engineId: key,
    surveyId: key,
    tag: `${key}, "the old one"; port`,
    owner: '',
    due: dueList([survey(key)], {}, now)
  });
  it('holds every day that falls due, as whole days, with names that stay', () => {
    const list = [care('curlew'), care('avocet'), care('fulmar')];
    const parsed = new ICAL.Component(ICAL.parse(calendarText(list)) as never);
    const events = parsed.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
    const dated = list.flatMap((c) => c.due.filter((d) => d.day).map((d) => ({ tag: c.tag, ...d })));
    expect(events.map((e) => e.startDate.toString()).sort()).toEqual(dated.map((d) => d.day).sort());
    expect(events.map((e) => e.summary).sort()).toEqual(dated.map((d) => `${d.tag}: ${d.title}`).sort());
    expect(events.every((e) => e.startDate.isDate && e.duration.toSeconds() === 86_400)).toBe(true);
    expect(new Set(events.map((e) => e.uid)).size).toBe(events.length);
    expect(parsed.getFirstPropertyValue('version')).toBe('2.0');
    const turn = events.find((e) => e.isRecurring())!;
    const next = turn.iterator();
    expect([next.next(), next.next()].map((d) => d!.month)).toEqual([5, 6]);
  });
  it('escapes what is text, folds by octets, and reminds of every date', () => {
    const long = { ...care('curlew'), tag: `${'Ωμέγα, “Ω”; '.repeat(12)}\nsecond line` };
    const text = calendarText([long]);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(text).toMatch(/\r\nREFRESH-INTERVAL;VALUE=DURATION:P1D\r\n/);
    const parsed = new ICAL.Component(ICAL.parse(text) as never);
    const alarms = parsed.getAllSubcomponents('vevent').map((e) => e.getFirstSubcomponent('valarm')!);
    expect(alarms.length).toBe(long.due.filter((d) => d.day).length);
    expect(alarms[0]!.getFirstPropertyValue('description')).toBe(
      new ICAL.Event(parsed.getFirstSubcomponent('vevent')!).summary
    );
    expect(String(alarms[0]!.getFirstPropertyValue('trigger'))).toMatch(/^-P(7D|1W)$/);
    expect(new ICAL.Event(parsed.getFirstSubcomponent('vevent')!).summary.startsWith(long.tag)).toBe(true);
  });
  it('with nothing due it is still a calendar', () => {
    const parsed = new ICAL.Component(ICAL.parse(calendarText([])) as never);
    expect(parsed.getAllSubcomponents('vevent')).toEqual([]);
  });
});

describe('the tag’s code, read by an independent decoder', () => {
  it('opens the engine’s page', async () => {
    const address = 'http://192.168.1.20:4173/engines/0b8f63ce-2f1c-4a3b-9f04-1d7a31d9c111';
    const png = PNG.sync.read(await QRCode.toBuffer(address, { errorCorrectionLevel: 'Q', margin: 4, scale: 4 }));
    expect(jsQR(new Uint8ClampedArray(png.data), png.width, png.height)?.data).toBe(address);
  });
});
