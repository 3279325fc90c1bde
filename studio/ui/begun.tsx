/** Where something will stand once there is something: an outline with its name, for the eye only. */
export const Begun = ({ name, className = '' }: { name: string; className?: string }) => (
  <span
    aria-hidden="true"
    className={`grid place-items-center rounded-[2px] border-[1.5px] border-dashed border-line px-3 py-2 text-center text-s leading-s text-ink-3 ${className}`}
  >
    {name}
  </span>
);
