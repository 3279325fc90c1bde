import { cut } from '#core/words/cut.ts';

/** A title somebody would write: the file's name without its ending, unless a camera made it up. */
export function titleFromFileName(fileName: string): string {
  const base = fileName
    .replace(/\.[a-z0-9]{2,8}$/i, '')
    .replace(/[_-]+/g, ' ')
    .trim();
  const ofCamera =
    /^(?:img|dsc[fn]?|pxl|p|photo|image|screenshot|whatsapp image|mvimg|vid|mov|signal)(?![a-z])/i.exec(base);
  const rest = base.slice(ofCamera?.[0].length ?? 0);
  // A number, with at most two letters before it, and the word programs put between date and time.
  const [before = '', letters = ''] = /^[\s\d()]*([a-z]{1,2})(?=\d{3})/i.exec(rest) ?? [];
  const said = letters === '' ? rest : rest.slice(before.length);
  if (base === '' || /^[\s\d.()at]*$/i.test(said)) return '';
  const words = base.replace(/^\d{1,3}[\s.]+/, '');
  return cut(words.charAt(0).toUpperCase() + words.slice(1), 160);
}
