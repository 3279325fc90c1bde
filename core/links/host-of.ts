/** Host of a web address as people say it, without "www."; null for anything else, which is words. */
export function hostOf(text: string): string | null {
  const host = /^https?:\/\/(?:[^\s/?#@]*@)?(\[[^\s\]]+\]|[^\s/?#@:]+)(?::\d+)?(?:[/?#]\S*)?$/i.exec(
    text,
  )?.[1];
  return host?.toLowerCase().replace(/^www\./, '') ?? null;
}
