/** The kite of Kite Wall. */
export function KiteMark({ dark = false }: { dark?: boolean }) {
  const line = dark ? 'var(--dusk)' : 'var(--dusk-text)';
  return (
    <svg width={dark ? 44 : 30} height={dark ? 50 : 34} viewBox="0 0 30 34" aria-hidden="true">
      <path d="M15 1L28 13 15 33 2 13z" fill="none" stroke={line} strokeWidth="1.8" strokeLinejoin="round" />
      <path d="M15 1v32M2 13h26" stroke={line} strokeWidth="1.4" />
      <path d="M15 1L28 13H15z" fill="var(--straw)" />
    </svg>
  );
}
