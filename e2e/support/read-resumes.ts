import { execFile } from 'node:child_process';
import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { createHash } from 'node:crypto';
import { sourceLinesOfDocument } from '#core/resume/taken-in/source-lines-of-document.ts';
import { sourceLinesOfText } from '#core/resume/taken-in/source-lines-of-text.ts';
import { guessedResume, type GuessedResume } from '#core/resume/taken-in/guessed-resume.ts';
import type { SourceLine } from '#core/resume/taken-in/source-line.ts';
import { readDocument } from '#server/documents/read-document.ts';
import { FolderBlobStore } from '#server/media/blob-store.ts';
import { launchBrowser } from './browser.ts';
import { layouts, people } from './sample-resumes.ts';

const run = promisify(execFile);
export const fileKinds = ['docx', 'pdf', 'text'] as const;
export type FileKind = (typeof fileKinds)[number];

export interface ReadSample {
  person: string;
  layout: string;
  kind: FileKind;
  lines: SourceLine[];
  guessed: GuessedResume;
}

/** Makes each sample in each layout as DOCX and text by pandoc and as PDF by the browser, and reads all of them. */
export async function readResumes(): Promise<ReadSample[]> {
  const folder = await mkdtemp(join(tmpdir(), 'kite-wall-resumes-'));
  const blobs = await FolderBlobStore.open(join(folder, 'store'));
  const browser = await launchBrowser();
  const samples: ReadSample[] = [];
  try {
    const page = await browser.newPage();
    for (const [person, resume] of Object.entries(people))
      for (const [layout, { format, write }] of Object.entries(layouts)) {
        const at = join(folder, `${person} ${layout}`);
        await writeFile(`${at}.source`, write(resume));
        await run('pandoc', ['-f', format, `${at}.source`, '-o', `${at}.docx`]);
        await run('pandoc', ['-f', format, `${at}.source`, '-t', 'plain', '-o', `${at}.txt`]);
        await run('pandoc', [
          '-f',
          format,
          `${at}.source`,
          '-t',
          'html',
          '-s',
          '--metadata',
          'title=x',
          '-o',
          `${at}.html`,
        ]);
        // The page's own title is none of the résumé's.
        const html = (await readFile(`${at}.html`, 'utf8')).replace(/<header[\s\S]*?<\/header>/, '');
        await page.setContent(html);
        await writeFile(
          `${at}.pdf`,
          await page.pdf({ format: 'A4', margin: { top: '2cm', bottom: '2cm', left: '2cm', right: '2cm' } }),
        );
        for (const kind of fileKinds) {
          const lines =
            kind === 'text'
              ? sourceLinesOfText(await readFile(`${at}.txt`, 'utf8'))
              : sourceLinesOfDocument(
                  (
                    await readDocument(
                      `${at}.${kind}`,
                      createHash('sha256')
                        .update(at + kind)
                        .digest('hex'),
                      kind,
                      blobs,
                    )
                  ).content,
                );
          samples.push({ person, layout, kind, lines, guessed: guessedResume(lines) });
        }
      }
  } finally {
    await browser.close();
  }
  return samples;
}
