/** What is said, for those who cannot hear it or would rather read. */
export function Transcript({ lines, of }: { lines: readonly string[]; of: string }) {
  return lines.length === 0 ? null : (
    <details className="transcript">
      <summary>{of}</summary>
      {lines.map((line, at) => (
        <p key={at}>{line}</p>
      ))}
    </details>
  );
}
