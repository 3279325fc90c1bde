import { plural } from '#core/words/plural.ts';

/** How far along the string the kite is: pages without anything needed, among those that readers get. */
export function GoodOrder({ good, of }: { good: number; of: number }) {
  const share = of === 0 ? 0 : good / of;
  return (
    <div className="mr-auto min-w-40 flex-[0_1_26rem]">
      <p className="text-s leading-s text-ink-2">
        {of === 0 ? 'No page for readers yet' : `${good} of ${plural(of, 'page')} for readers in good order`}
      </p>
      <div className="relative h-5" aria-hidden="true">
        <i className="absolute inset-x-0 top-2 h-0.5 rounded-full bg-line" />
        <i
          className="absolute top-2 left-0 h-0.5 rounded-full bg-meadow transition-[width] duration-(--quick)"
          style={{ width: `${share * 100}%` }}
        />
        <svg
          className="absolute top-0 -ml-2 transition-[left] duration-(--quick)"
          style={{ left: `${share * 100}%` }}
          width="16"
          height="20"
          viewBox="0 0 16 20"
        >
          <path d="M8 0l7 8-7 12L1 8z" fill="var(--vermilion)" />
          <path d="M8 0v20M1 8h14" stroke="#fff" strokeOpacity=".25" />
        </svg>
      </div>
    </div>
  );
}
