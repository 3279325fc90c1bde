import { type ReactNode, useId } from 'react';

/** One part of a group's page: what it is at the left, what is done at the right. */
export function Part({ title, note, children }: { title: string; note: ReactNode; children: ReactNode }) {
  const id = useId();
  return (
    <section
      aria-labelledby={id}
      className="grid gap-x-8 gap-y-3 border-t border-line pt-5 min-[1100px]:grid-cols-[13rem_minmax(0,1fr)]"
    >
      <div>
        <h2 id={id} className="text-base">
          {title}
        </h2>
        <p className="note mt-1">{note}</p>
      </div>
      <div className="grid max-w-[34rem] grid-cols-[minmax(0,1fr)] content-start gap-4">{children}</div>
    </section>
  );
}
