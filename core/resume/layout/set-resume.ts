import type { Id } from '../../id.ts';
import type { FitEntry, FitLine, FitSection, Paper } from '../fit-content.ts';
import type { Tightness } from '../fit-resume.ts';
import { comfortableSizes, labelColumn, margins, type PaperName, paperSizes } from './paper.ts';
import type { ContentEntry, ResumeContent } from './resume-content.ts';
import { type Run, type SetRun, setRuns, type WidthOf } from './set-runs.ts';

/** A line of words with where it begins, in points from the left edge of the paper. */
export interface SetLine {
  x: number;
  sizePt: number;
  runs: readonly SetRun[];
}

/** Something that is set, from its own top on. */
export interface Block {
  id: Id;
  kind: 'name' | 'headline' | 'contact' | 'entry' | 'line';
  height: number;
  /** Baselines are this far below the tops of lines. */
  lines: readonly { top: number; line: SetLine }[];
}

/** All that a résumé is set of at a tightness, measured. */
export interface SetResume {
  sections: FitSection[];
  blocks: ReadonlyMap<Id, Block>;
  /** The name of each section, which stands beside its first entry. */
  labels: ReadonlyMap<Id, SetLine[]>;
  sizes: { text: number; leading: number; small: number };
}

/** Stands for the name and what is said below it; no part is called so. */
export const headId = '@head';

/** The paper between its margins. */
export const roomOn = (paper: PaperName, pages: number): Paper => ({
  height: paperSizes[paper].height - margins.top - margins.bottom,
  pages,
});

/** What is lost where something stays out; null: it must stay. */
export interface Losses {
  entries: ReadonlyMap<Id, number | null>;
  lines: ReadonlyMap<Id, number | null>;
}

/** What an entry begins with: its title, which leads to its page, how well, where, and the pages that show it. */
function titleRuns({ title, link, level, place, proofs }: ContentEntry, strong: boolean): Run[] {
  const runs: Run[] = [{ text: title, face: strong ? 'strong' : 'regular', link }];
  if (level) runs.push({ text: `, ${level}`, face: 'regular' });
  if (place) runs.push({ text: `, ${place}`, face: 'regular' });
  proofs.forEach(({ title: name, to }, at) => {
    runs.push({ text: at === 0 ? ': ' : ', ', face: 'regular' }, { text: name, face: 'regular', link: to });
  });
  return runs;
}

/** Sections of which an entry is a word or two: their titles are not set strong. */
const plain: readonly string[] = ['goals', 'skills', 'languages', 'interests', 'references'];

/**
 * Sets a résumé at a tightness: breaks all its lines and measures everything, so that it can be fitted and drawn by the same
 * numbers.
 *
 * @param widthOf of the letters it will be drawn with
 * @param broken lines of the same résumé that were broken before, at other tightnesses: gaps and the distance of lines break none anew
 */
export function setResume(
  content: ResumeContent,
  paper: PaperName,
  tightness: Tightness,
  widthOf: WidthOf,
  losses: Losses,
  broken: Map<string, SetRun[][]> = new Map(),
): SetResume {
  const { size, leading: tight, gaps } = tightness;
  const text = comfortableSizes.text * size;
  const small = comfortableSizes.small * size;
  const leading = comfortableSizes.leading * tight;
  const left = margins.side;
  const right = paperSizes[paper].width - margins.side;
  const body = left + labelColumn.width + labelColumn.gutter;
  const blocks = new Map<Id, Block>();
  const labels = new Map<Id, SetLine[]>();

  /** Lines of one size below each other. */
  const stack = (
    id: Id,
    runs: () => readonly Run[],
    x: number,
    width: number,
    sizePt: number,
    high = sizePt * leading,
  ) => {
    const key = `${id} ${sizePt}`;
    const set = broken.get(key) ?? setRuns(runs(), width, sizePt, widthOf);
    broken.set(key, set);
    return {
      height: set.length * high,
      lines: set.map((of, at) => ({ top: at * high, line: { x, sizePt, runs: of } })),
    };
  };
  const keep = (id: Id, kind: Block['kind'], of: Pick<Block, 'height' | 'lines'>): Block => {
    const block = { id, kind, ...of };
    blocks.set(id, block);
    return block;
  };

  const head = [
    keep(
      '@name',
      'name',
      stack(
        '@name',
        () => [{ text: content.name, face: 'strong' }],
        left,
        right - left,
        comfortableSizes.name * size,
      ),
    ),
    ...(content.headline
      ? [
          keep(
            '@headline',
            'headline',
            stack(
              '@headline',
              () => [{ text: content.headline, face: 'regular' }],
              left,
              right - left,
              comfortableSizes.headline * size,
            ),
          ),
        ]
      : []),
    ...(content.contact.length > 0
      ? [
          keep(
            '@contact',
            'contact',
            stack(
              '@contact',
              () =>
                content.contact.flatMap(({ text: said, to }, at): Run[] => [
                  ...(at > 0 ? [{ text: '  ·  ', face: 'regular' as const }] : []),
                  { text: said, face: 'regular', link: to },
                ]),
              left,
              right - left,
              small,
              small * 1.5,
            ),
          ),
        ]
      : []),
  ];
  const sections: FitSection[] = [
    {
      id: '@head-section',
      ...{ heading: 0, gap: 0 },
      entries: [
        {
          id: headId,
          head: head.reduce((sum, { height }) => sum + height, 0),
          ...{ gap: 0, lines: [], loss: null },
        },
      ],
    },
  ];

  for (const { section, label, entries } of content.sections) {
    labels.set(
      section,
      stack(
        `@label ${section}`,
        () => [{ text: label, face: 'strong' }],
        left,
        labelColumn.width,
        small,
      ).lines.map(({ line }) => line),
    );
    sections.push({
      id: section,
      // Its name stands beside the first entry; above that is only the rule.
      heading: comfortableSizes.rule * gaps,
      gap: comfortableSizes.section * gaps,
      entries: entries.map((entry): FitEntry => {
        const strong = !plain.includes(section);
        const [dated] = stack(
          `@when ${entry.id}`,
          () => [{ text: entry.when, face: 'regular' }],
          0,
          Infinity,
          small,
        ).lines;
        const date = dated?.line.runs ?? [];
        const dateWidth = entry.when === '' ? 0 : (date[0]?.width ?? 0) + 12;
        const title = stack(entry.id, () => titleRuns(entry, strong), body, right - body - dateWidth, text);
        const when = { top: 0, line: { x: right - (date[0]?.width ?? 0), sizePt: small, runs: date } };
        keep(entry.id, 'entry', {
          height: title.height,
          lines: entry.when === '' ? title.lines : [...title.lines, when],
        });
        return {
          id: entry.id,
          head: title.height,
          gap: (plain.includes(section) ? 1.5 : comfortableSizes.entry) * gaps,
          loss: losses.entries.get(entry.id) ?? null,
          lines: entry.lines.map((line): FitLine => {
            const x = body + comfortableSizes.indent;
            const runs = (): Run[] => [
              { text: line.text, face: 'regular' },
              ...(line.proof
                ? [
                    { text: ' (', face: 'regular' as const },
                    { text: line.proof.title, face: 'regular' as const, link: line.proof.to },
                    { text: ')', face: 'regular' as const },
                  ]
                : []),
            ];
            const of = keep(line.id, 'line', stack(line.id, runs, x, right - x, text));
            return { id: line.id, height: of.height, loss: losses.lines.get(line.id) ?? null };
          }),
        };
      }),
    });
  }
  return { sections, blocks, labels, sizes: { text, leading, small } };
}
