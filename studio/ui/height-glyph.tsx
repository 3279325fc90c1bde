import { type Height, heightLevel } from '#core/access/height.ts';

const kiteTop = (height: Height): number => 16.3 - heightLevel(height) * 5.5;

/** A kite on its string: solid where the thing really flies, dashed where its maker asked it to be. */
export function HeightGlyph({ height, asked, size = 24 }: { height: Height; asked?: Height; size?: number }) {
  const top = kiteTop(height);
  return (
    <svg width={(size * 16) / 26} height={size} viewBox="0 0 16 26" aria-hidden="true">
      <path d="M2 23.5h12" stroke="var(--edge)" strokeWidth="1.6" strokeLinecap="round" />
      <path d="M8 23.5V3" stroke="var(--line)" strokeWidth="1.2" />
      <path d="M6 20.5h4M6 15h4M6 9.5h4M6 4h4" stroke="var(--edge)" strokeWidth="1.1" />
      {asked && asked !== height && (
        <path
          transform={`translate(0 ${kiteTop(asked) + 0.2})`}
          d="M8 0l3.6 4L8 8 4.4 4z"
          fill="var(--paper-raised)"
          stroke="var(--ink-3)"
          strokeWidth="1.1"
          strokeDasharray="1.8 1.4"
        />
      )}
      <path d={`M8 23.5V${top + 4}`} stroke="var(--vermilion)" strokeWidth="1.4" />
      <path transform={`translate(0 ${top})`} d="M8 0l4.4 3.6L8 8.8 3.6 3.6z" fill="var(--vermilion)" />
    </svg>
  );
}
