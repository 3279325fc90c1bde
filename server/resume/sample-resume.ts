import type { ContentEntry, ContentLine, ResumeContent } from '#core/resume/layout/resume-content.ts';

const at = 'https://kite.example/wren/';
const line = (id: string, text: string, proof?: string): ContentLine => ({
  ...{ id, text },
  proof: proof === undefined ? null : { title: proof, to: `${at}${proof.toLowerCase().replace(/ /g, '-')}/` },
});
const entry = (id: string, title: string, more: Partial<ContentEntry> = {}): ContentEntry => ({
  ...{ id, title, link: null, level: '', place: '', when: '', lines: [], proofs: [] },
  ...more,
});

/** A résumé of somebody who does not exist, for tests. */
export const sampleResume: ResumeContent = {
  language: 'en',
  name: 'Wren Tolliver',
  headline: 'Second-year product maker: wood, sailcloth, small mechanisms.',
  contact: [
    { text: 'kite.example/wren', to: at },
    { text: 'The north coast', to: null },
  ],
  sections: [
    {
      ...{ section: 'work', label: 'Work' },
      entries: [
        entry('yard', 'Saturday help', {
          ...{ place: 'the boatyard', when: 'since March 2025' },
          lines: [
            line('sand', 'Sanding, varnishing, stock lists.'),
            line('trolley', 'Designed and welded the trolley now used for masts.', 'Mast trolley'),
          ],
        }),
        entry('cafe', 'Repair café', {
          when: '2024',
          lines: [
            line(
              'stitch',
              'Stitching and small wooden repairs, about six a month, and a naïve “fix” or two.',
            ),
          ],
        }),
      ],
    },
    {
      ...{ section: 'projects', label: 'Projects' },
      entries: [
        entry('clock', 'Tide clock', {
          ...{ link: `${at}tide-clock/`, when: 'September to December 2025' },
          lines: [line('hand', 'One hand, one turn per tide.')],
        }),
      ],
    },
    {
      ...{ section: 'skills', label: 'Skills' },
      entries: [
        entry('weld', 'Welding thin tube', { proofs: [{ title: 'Bike trailer', to: `${at}bike-trailer/` }] }),
        entry('varnish', 'Varnishing'),
      ],
    },
  ],
  newest: { text: 'The newest one is at kite.example/wren/resume/', to: `${at}resume/` },
};

/** The same with so many lines more. */
export const longResume = (lines: number): ResumeContent => ({
  ...sampleResume,
  sections: [
    ...sampleResume.sections,
    {
      ...{ section: 'volunteering' as const, label: 'Volunteering' },
      entries: Array.from({ length: Math.ceil(lines / 4) }, (_, at) =>
        entry(`more-${at}`, `Helper number ${at + 1}`, {
          when: String(2010 + (at % 15)),
          lines: Array.from({ length: 4 }, (__, n) =>
            line(
              `more-${at}-${n}`,
              `Carried crate ${at * 4 + n} from the slip to the shed and wrote down what was in it.`,
              n === 0 ? 'Tide clock' : undefined,
            ),
          ),
        }),
      ),
    },
  ],
});
