import { resumeLinesPath, resumeLinesSchema } from '#contract/resume.ts';
import { sourceLinesOfText } from '#core/resume/taken-in/source-lines-of-text.ts';
import { mostSourceLines, type SourceLine, tooManyLines } from '#core/resume/taken-in/source-line.ts';
import { Refusal, refusalFrom } from '../../api/call.ts';

/** What an old résumé says, line by line: text is read here, other files where all files from outside are. */
export async function readLines(site: string, file: File): Promise<SourceLine[]> {
  if (/\.(?:txt|text|md|markdown)$/i.test(file.name)) {
    const lines = sourceLinesOfText(await file.text());
    if (lines.length > mostSourceLines) throw new Error(tooManyLines(lines.length));
    return lines;
  }
  const reply = await fetch(resumeLinesPath(site, file.name), {
    ...{ method: 'POST', headers: { 'content-type': 'application/octet-stream' }, body: file },
  }).catch(() => null);
  if (!reply)
    throw new Refusal(0, {
      code: 'unreachable',
      message: 'The line broke before the whole file had arrived. Nothing was taken in; try again.',
    });
  const body: unknown = await reply.json().catch(() => null);
  if (!reply.ok) throw await refusalFrom(reply.status, body);
  return resumeLinesSchema.parse(body).lines;
}
