import { z } from 'zod';
import type { Id } from '../../id.ts';
import { line } from '../../words/line.ts';
import { type Checklist, evidenceCountSchema, mostLines, toldLines } from './checklist.ts';

/** What tells a file of this kind from other JSON, and which shape of it it has. */
export const checklistFormat = 'kite-wall checklist 1';

/** A list as it is handed on, without anybody's ticks. */
export const checklistFileSchema = z.strictObject({
  format: z.literal(checklistFormat),
  name: line(80).min(1, 'A list has a name.'),
  /** Who gives it. */
  by: line(80).default(''),
  /** How many pieces of evidence each project is to have; 0: as many as there are. */
  evidence: evidenceCountSchema.default(0),
  lines: z
    .array(
      z.strictObject({
        text: line(200).min(1, 'A line says something.'),
        essential: z.boolean().default(true),
        /** Name of a rule of Check that ticks the line. */
        rule: z.string().max(40).nullable().default(null),
      }),
    )
    .min(1, 'A list has at least one line.')
    .max(mostLines, `A list has at most ${mostLines} lines.`),
});

/** As JSON Schema (draft 2020-12), for whoever makes such files by hand. */
export const checklistFileJsonSchema = (): object => ({
  title: 'A list of what to look at before a site is shown',
  ...z.toJSONSchema(checklistFileSchema, { io: 'input' }),
});

/** The file of a list that says something. */
export const checklistFile = (list: Checklist): string =>
  `${JSON.stringify(
    {
      format: checklistFormat,
      name: list.name || 'A list',
      by: list.by,
      ...(list.evidence > 0 && { evidence: list.evidence }),
      lines: toldLines(list).map((one) => ({ text: one.text, essential: one.essential, rule: one.rule })),
    },
    null,
    2,
  )}\n`;

export type ReadChecklist = { list: Checklist } | { problem: string };

/**
 * Reads such a file.
 *
 * @param newId makes an id for the list and for each line
 * @returns the list with nothing ticked, or a sentence saying what is wrong with the file
 */
export function readChecklist(file: string, newId: () => Id): ReadChecklist {
  let json: unknown;
  try {
    json = JSON.parse(file);
  } catch {
    return { problem: 'This file is no JSON, so there is no list in it.' };
  }
  if ((json as { format?: unknown } | null)?.format !== checklistFormat)
    return { problem: `This is no list: it does not say "format": "${checklistFormat}".` };
  const read = checklistFileSchema.safeParse(json);
  if (!read.success) {
    const [issue] = read.error.issues;
    const at = (issue?.path ?? []).map((one) => (typeof one === 'number' ? one + 1 : String(one))).join(' ');
    return { problem: `The list cannot be read: ${at ? `${at}: ` : ''}${issue?.message ?? ''}` };
  }
  const { name, by, evidence, lines } = read.data;
  return {
    list: {
      id: newId(),
      name,
      by,
      evidence,
      lines: lines.map((one) => ({ ...one, id: newId(), done: false })),
    },
  };
}
