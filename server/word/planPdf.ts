import { createRequire } from 'node:module';
import type pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { FloatPlan } from '#core/floatplan/floatPlan';
import { plainText } from '#core/floatplan/plainText';
import { sketchOf } from '#core/floatplan/sketch';
import { sayCall, sayHours, sayMomentInFull } from '#core/floatplan/status';

const { resolve } = createRequire(import.meta.url);
const file = (family: string, face: string) => resolve(`@expo-google-fonts/${family}/${face}.ttf`);
// As they are, and not packed as for a browser: the press would unpack them with each letter.
const text = file('atkinson-hyperlegible-next', '400Regular/AtkinsonHyperlegibleNext_400Regular');
const bold = file('atkinson-hyperlegible-next', '700Bold/AtkinsonHyperlegibleNext_700Bold');
const head = file('fraunces', '600SemiBold/Fraunces_600SemiBold');
const faces = {
  Text: { normal: text, bold, italics: text, bolditalics: bold },
  Head: { normal: head, bold: head, italics: head, bolditalics: head },
};
const letterFiles: ReadonlySet<string> = new Set([text, bold, head]);
/**
 * The press, read with the first page: a start need not wait for it. A plan fetches nothing and reads nothing
 * but its letters.
 */
async function pressOf(): Promise<typeof pdfmake> {
  const { default: press } = await import('pdfmake');
  press.setFonts(faces);
  press.setUrlAccessPolicy(() => false);
  press.setLocalAccessPolicy((path) => letterFiles.has(path));
  return press;
}

/** A text in one of the typefaces, which have no prime. */
function set(words: string, font: keyof typeof faces, more: object = {}): Content {
  return { text: words.replaceAll('′', "'"), font, ...more };
}

const INK = '#17303a';
const SOFT = '#5b6b73';
export type Paper = 'A4' | 'LETTER';

/** So much smaller letters, until it is one page. */
const SIZES = [10.8, 9.6, 8.8, 8, 7.2, 6.4];

/**
 * Bytes that the largest QR code holds at the lowest correction (ISO/IEC 18004, version 40, L), with room for
 * letters of two bytes.
 */
const MOST_IN_QR = 1400;
function codeWords(code: string, page: string): string {
  if (code.length > MOST_IN_QR) return '';
  return page === '' ? 'The plan as text, for a telephone.' : 'Where it can be watched.';
}

/** The plan as one page of paper, as it looks here. @param page its watch page; empty: none */
export async function planPdf(plan: FloatPlan, paper: Paper, page: string, now: number): Promise<Buffer> {
  const press = await pressOf();
  let last: Buffer | null = null;
  for (const size of SIZES) {
    const pages = { count: 0 };
    last = await press.createPdf(definition(plan, { paper, page, now, size, pages })).getBuffer();
    if (pages.count === 1) break;
  }
  if (!last) throw new Error('No page was made.');
  return last;
}

interface Setting {
  paper: Paper;
  page: string;
  now: number;
  size: number;
  pages: { count: number };
}
function definition(plan: FloatPlan, { paper, page, now, size, pages }: Setting): TDocumentDefinitions {
  const { contact } = plan;
  const rule = (): Content => ({
    canvas: [{ type: 'line', x1: 0, y1: 0, x2: 515, y2: 0, lineWidth: 0.7, lineColor: INK }],
    margin: [0, 4, 0, 4],
  });
  const heading = (text: string): Content =>
    set(text, 'Head', { bold: true, fontSize: size * 1.25, margin: [0, size * 0.55, 0, 1] });
  const pair = (label: string, text: string): Content => ({
    columns: [set(label, 'Text', { width: 66, color: SOFT }), set(text, 'Text', { width: '*' })],
    columnGap: 4,
  });
  const section = ({ heading: name, lines }: FloatPlan['sections'][number]): Content[] => [
    heading(name),
    ...lines.map((one) => pair(one.label, one.text)),
  ];
  const half = Math.ceil(plan.sections.length / 2);
  const hours = sayHours(plan);
  const code = page === '' ? plainText(plan) : page;
  return {
    pageSize: paper,
    pageMargins: [40, 34, 40, 34],
    defaultStyle: { font: 'Text', fontSize: size, color: INK, lineHeight: 1.12 },
    info: { title: `Plan: ${plan.title}`, author: plan.who },
    footer: (_current, count) => {
      pages.count = count;
      return set(
        `Unhurried Tally. Made ${sayMomentInFull(Date.parse(plan.madeAt), plan.zone)}, printed ${sayMomentInFull(now, plan.zone)}. What the angler has said, and no more.`,
        'Text',
        { fontSize: 7, color: SOFT, margin: [40, 8, 40, 0] },
      );
    },
    content: [
      set(plan.title, 'Head', { bold: true, fontSize: 20 }),
      set(
        `${[plan.who, plan.phone].filter(Boolean).join(', ')}${contact.name === '' ? '' : `. Left with ${[contact.name, contact.phone].filter(Boolean).join(', ')}`}`,
        'Text',
      ),
      rule(),
      {
        columns: hours.map(({ label, text }) => ({
          stack: [
            set(label, 'Text', { color: SOFT }),
            set(text, 'Head', { bold: true, fontSize: size * 1.35 }),
          ],
        })),
      },
      rule(),
      set(sayCall(plan), 'Text', { bold: true, fontSize: size * 1.12 }),
      ...plan.script.map((one) => set(one, 'Text', { margin: [8, 1, 0, 0] })),
      rule(),
      {
        columns: [
          { width: '*', stack: plan.sections.slice(0, half).flatMap(section) },
          { width: '*', stack: plan.sections.slice(half).flatMap(section) },
        ],
        columnGap: 18,
      },
      {
        columns: [
          { svg: sketchOf(plan, INK, '#ffffff'), width: 250, font: 'Text' } as Content,
          {
            stack: [
              ...(code.length > MOST_IN_QR ? [] : [{ qr: code, fit: 96, foreground: INK }]),
              set(codeWords(code, page), 'Text', {
                fontSize: 7.5,
                color: SOFT,
                margin: [0, 3, 0, 0],
              }),
            ],
          },
        ],
        columnGap: 18,
        margin: [0, 10, 0, 0],
      },
    ],
  };
}
