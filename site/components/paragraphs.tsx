/** Plain text as paragraphs: a blank line parts them, a line end stays one. */
export function Paragraphs({ text }: { text: string }) {
  return text
    .split(/\n[ \t]*\n/)
    .map((block) => block.trim())
    .filter(Boolean)
    .map((block, at) => (
      <p key={at} className="lines">
        {block}
      </p>
    ));
}
