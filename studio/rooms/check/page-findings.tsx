import { useRef, useState } from 'react';
import type { Finding } from '#core/check/finding.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import type { Page } from '#core/pages/page.ts';
import { FindingItem } from './finding-item.tsx';

interface PageFindingsProps {
  page: Page;
  findings: readonly Finding[];
  onMended: () => void;
  onWaive: (finding: Finding, reason: string) => void;
}

/**
 * What was noticed on one page. What is being mended here stays where it stands until its maker is done with it, although nothing
 * is wrong with it any more after the first letter.
 */
export function PageFindings({ page, findings, onMended, onWaive }: PageFindingsProps) {
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const [kept, setKept] = useState<readonly Finding[]>([]);
  const list = useRef<HTMLUListElement>(null);
  const found = new Map(findings.map((one) => [one.key, one]));
  const stays = kept.filter(({ key }) => found.has(key) || open.has(key));
  const known = new Set(stays.map(({ key }) => key));
  const shown = [
    ...stays.map((one) => found.get(one.key) ?? one),
    ...findings.filter(({ key }) => !known.has(key)),
  ];
  if (shown.length === 0) return null;
  const onOpen = (key: string, opened: boolean) => {
    const next = new Set(open);
    if (opened) next.add(key);
    else next.delete(key);
    setOpen(next);
    setKept(next.size > 0 ? shown : []);
    if (opened || found.has(key)) return;
    // What was pressed goes with what it mended: on to the next one, so that alt texts are written one after the other.
    const at = shown.findIndex((one) => one.key === key);
    requestAnimationFrame(() => {
      const button = list.current?.children[at]?.querySelector<HTMLElement>('button, a');
      if (button) button.focus();
      else onMended();
    });
  };
  return (
    <section aria-label={pageName(page)} className="border-t-2 border-t-ink pt-2">
      <h3 className="flex items-baseline gap-3 text-[1.0625rem] leading-6">
        {pageName(page)}
        <small className="text-s font-plain text-ink-3">{findings.length}</small>
      </h3>
      <ul ref={list}>
        {shown.map((finding) => (
          <FindingItem
            key={finding.key}
            finding={finding}
            kind={page.kind}
            open={open.has(finding.key)}
            onOpen={(opened) => onOpen(finding.key, opened)}
            onMended={onMended}
            onWaive={(reason) => onWaive(finding, reason)}
          />
        ))}
      </ul>
    </section>
  );
}
