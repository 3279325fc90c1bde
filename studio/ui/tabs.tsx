import { Tabs as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { segmentsLook } from './segments.tsx';

interface TabsProps {
  value: string;
  onChange: (value: string) => void;
  className?: string;
  children: ReactNode;
}

/** Several faces of one thing, of which one is seen: a `TabList` and a `TabPanel` for each. */
export const Tabs = ({ value, onChange, className, children }: TabsProps) => (
  <Radix.Root value={value} onValueChange={onChange} className={className}>
    {children}
  </Radix.Root>
);

interface TabListProps {
  label: string;
  tabs: readonly { key: string; name: string }[];
  className?: string;
}

/** Their names in a row; the arrow keys lead from one to the next. */
export const TabList = ({ label, tabs, className = '' }: TabListProps) => (
  <Radix.List className={`${segmentsLook.row} ${className}`.trim()} aria-label={label}>
    {tabs.map(({ key, name }) => (
      <Radix.Trigger key={key} value={key} className={segmentsLook.one}>
        {name}
      </Radix.Trigger>
    ))}
  </Radix.List>
);

/** What is seen when the tab of this name is taken. */
export const TabPanel = ({
  of,
  className,
  children,
}: {
  of: string;
  className?: string;
  children: ReactNode;
}) => (
  <Radix.Content value={of} className={className}>
    {children}
  </Radix.Content>
);
