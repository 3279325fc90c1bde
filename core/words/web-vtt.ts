/** A line of captions: when it is shown, in seconds, and what it says. */
export interface Cue {
  from: number;
  to: number;
  text: string;
}

/** A file of captions starts with this word, alone or followed by a blank (W3C WebVTT, section 4.1). */
export const isWebVtt = (text: string): boolean => /^\ufeff?WEBVTT(?:[ \t][^\n]*)?(?:\r?\n|\r|$)/.test(text);

const time = /^(?:(\d{2,}):)?([0-5]\d):([0-5]\d)\.(\d{3})$/;

function seconds(text: string): number | null {
  const match = time.exec(text);
  if (!match) return null;
  const [, hours = '0', minutes, whole, thousandths] = match;
  return Number(hours) * 3600 + Number(minutes) * 60 + Number(whole) + Number(thousandths) / 1000;
}

/** Text of a cue as it is read: without tags, with the entities the standard names as letters. */
const spoken = (text: string): string =>
  text
    .replace(/<[^<>]*>/g, '')
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&nbsp;|&lrm;|&rlm;/g, ' ')
    .replace(/&amp;/g, '&')
    .replace(/\s+/g, ' ')
    .trim();

/**
 * The cues of captions, in their order. What is not a cue (notes, styles, regions, blocks with unreadable times) is
 * passed over, as the standard's parser does.
 *
 * @param text a WebVTT file
 */
export function cuesOf(text: string): Cue[] {
  const blocks = text
    .replace(/^\ufeff/, '')
    .replace(/\r\n?/g, '\n')
    .split(/\n{2,}/)
    .slice(1);
  return blocks.flatMap((block) => {
    const lines = block.split('\n').filter((line) => line !== '');
    const at = lines.findIndex((line) => line.includes('-->'));
    if (at < 0 || at > 1) return [];
    const [start = '', rest = ''] = (lines[at] ?? '').split('-->').map((side) => side.trim());
    const [from, to] = [seconds(start), seconds(rest.split(/\s/)[0] ?? '')];
    if (from === null || to === null || to <= from) return [];
    return [{ from, to, text: spoken(lines.slice(at + 1).join(' ')) }];
  });
}

/** What a transcript says, line by line: the cues of captions, or the paragraphs of plain words. */
export function captionLines(transcript: string): string[] {
  const lines = isWebVtt(transcript) ? cuesOf(transcript).map(({ text }) => text) : transcript.split(/\n+/);
  return lines.map((line) => line.trim()).filter(Boolean);
}
