/** How much of something is done, drawn; whoever draws it says it in words beside it. */
export const ProgressBar = ({ share, className = '' }: { share: number; className?: string }) => (
  <div
    className={`h-2 overflow-hidden rounded-[4px] bg-sunk shadow-[inset_0_0_0_1px_var(--line)] ${className}`.trim()}
    aria-hidden="true"
  >
    <i
      className="block h-full bg-sky transition-[width] duration-(--quick) ease-linear"
      style={{ width: `${Math.round(share * 100)}%` }}
    />
  </div>
);
