/** A title somebody would write: the file's name without its ending, unless a camera made it up. */
export function titleFromFileName(fileName: string): string {
  const base = fileName
    .replace(/\.[a-z0-9]{2,8}$/i, '')
    .replace(/[_-]+/g, ' ')
    .trim();
  const byCamera =
    /^(img|dsc[fn]?|pxl|p|photo|image|screenshot|whatsapp image|mvimg|vid|mov|signal)?[\s\d()]*([a-z]{0,2}\d{3,})?[\s\d.()at]*$/i;
  if (base === '' || byCamera.test(base)) return '';
  const words = base.replace(/^\d{1,3}[\s.]+/, '');
  return (words.charAt(0).toUpperCase() + words.slice(1)).slice(0, 160);
}
