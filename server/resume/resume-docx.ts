import {
  Document,
  ExternalHyperlink,
  HeadingLevel,
  LevelFormat,
  Packer,
  Paragraph,
  type ParagraphChild,
  TabStopPosition,
  TabStopType,
  TextRun,
} from 'docx';
import { type PaperName, paperSizes } from '#core/resume/layout/paper.ts';
import type { ContentEntry, ProofLink, ResumeContent } from '#core/resume/layout/resume-content.ts';

/** Twentieths of a point, in which Office Open XML measures (ISO/IEC 29500-1, 17.18.81). */
const twips = (points: number): number => Math.round(points * 20);
const bullets = 'lines';

const linkTo = ({ title, to }: ProofLink): ParagraphChild =>
  new ExternalHyperlink({ link: to, children: [new TextRun({ text: title, style: 'Hyperlink' })] });
const plain = (text: string): TextRun => new TextRun(text);
/** Links in brackets behind what they prove. */
const proofs = (links: readonly ProofLink[]): ParagraphChild[] =>
  links.length === 0
    ? []
    : [
        plain(' ('),
        ...links.flatMap((one, at) => (at === 0 ? [linkTo(one)] : [plain(', '), linkTo(one)])),
        plain(')'),
      ];

function ofEntry({ title, link, level, place, when, lines, proofs: shown }: ContentEntry): Paragraph[] {
  const named = link === null ? new TextRun({ text: title, bold: true }) : linkTo({ title, to: link });
  const more = [level, place].filter(Boolean).map((text) => `, ${text}`);
  return [
    new Paragraph({
      heading: HeadingLevel.HEADING_3,
      keepNext: lines.length > 0,
      tabStops: [{ type: TabStopType.RIGHT, position: TabStopPosition.MAX }],
      children: [
        named,
        ...(more.length > 0 ? [plain(more.join(''))] : []),
        ...proofs(shown),
        ...(when ? [new TextRun(`\t${when}`)] : []),
      ],
    }),
    ...lines.map(
      ({ text, proof }) =>
        new Paragraph({
          numbering: { reference: bullets, level: 0 },
          children: [plain(text), ...proofs(proof ? [proof] : [])],
        }),
    ),
  ];
}

/**
 * A résumé as a file for word processors (Office Open XML, ISO/IEC 29500): headings, lists and links as such, so that it can be changed
 * there. How it breaks into pages is theirs.
 */
export function resumeDocx(
  { language, name, headline, contact, sections, newest }: ResumeContent,
  paper: PaperName,
  title: string,
): Promise<Buffer> {
  const { width, height } = paperSizes[paper];
  const where = contact.flatMap(({ text, to }, at): ParagraphChild[] => [
    ...(at === 0 ? [] : [plain(', ')]),
    to === null ? plain(text) : linkTo({ title: text, to }),
  ]);
  const document = new Document({
    title,
    creator: name,
    styles: {
      default: {
        document: { run: { font: 'Calibri', size: 21, language: { value: language } } },
        heading1: { run: { size: 46, bold: true }, paragraph: { spacing: { after: 40 } } },
        heading2: { run: { size: 24, bold: true }, paragraph: { spacing: { before: 260, after: 60 } } },
        heading3: { run: { size: 21 }, paragraph: { spacing: { before: 120, after: 20 } } },
      },
    },
    numbering: {
      config: [
        {
          reference: bullets,
          levels: [
            {
              ...{ level: 0, format: LevelFormat.BULLET, text: '•' },
              style: { paragraph: { indent: { left: 280, hanging: 200 } } },
            },
          ],
        },
      ],
    },
    sections: [
      {
        properties: {
          page: {
            size: { width: twips(width), height: twips(height) },
            margin: { top: 1000, bottom: 1000, left: 1020, right: 1020 },
          },
        },
        children: [
          new Paragraph({ heading: HeadingLevel.HEADING_1, children: [plain(name)] }),
          ...(headline ? [new Paragraph({ children: [plain(headline)] })] : []),
          ...(where.length > 0 ? [new Paragraph({ children: where })] : []),
          ...sections.flatMap(({ label, entries }) => [
            new Paragraph({ heading: HeadingLevel.HEADING_2, keepNext: true, children: [plain(label)] }),
            ...entries.flatMap(ofEntry),
          ]),
          ...(newest
            ? [
                new Paragraph({
                  spacing: { before: 300 },
                  children: [linkTo({ title: newest.text, to: newest.to })],
                }),
              ]
            : []),
        ],
      },
    ],
  });
  return Packer.toBuffer(document);
}
