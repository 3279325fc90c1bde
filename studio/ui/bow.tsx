import './bow.css';

/** A bow on a kite's tail. */
export function Bow({
  size = 26,
  chosen = false,
  className = '',
}: {
  size?: number;
  chosen?: boolean;
  className?: string;
}) {
  return (
    <svg
      className={`bow ${chosen ? 'chosen' : ''} ${className}`}
      width={size}
      height={(size * 18) / 26}
      viewBox="0 0 26 18"
      aria-hidden="true"
    >
      <path d="M1 2l12 7L1 16zM25 2L13 9l12 7z" />
      <circle cx="13" cy="9" r="2.8" />
    </svg>
  );
}
