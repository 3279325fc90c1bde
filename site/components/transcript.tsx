import { useSpoken } from '../render/words.ts';

/** What is said, for those who cannot hear it or would rather read. */
export function Transcript({ lines, of }: { lines: readonly string[]; of: string }) {
  const { lang } = useSpoken();
  return lines.length === 0 ? null : (
    <details className="transcript">
      <summary {...lang}>{of}</summary>
      {lines.map((line, at) => (
        <p key={at}>{line}</p>
      ))}
    </details>
  );
}
