import { LayoutGrid, Rows3 } from 'lucide-react';
import type { Grouping, Order } from '#core/materials/group-materials.ts';
import { Segments } from '../../ui/segments.tsx';
import { Select } from '../../ui/select.tsx';

interface SortingProps {
  query: string;
  onQuery: (query: string) => void;
  by: Grouping;
  onBy: (by: Grouping) => void;
  order: Order;
  onOrder: (order: Order) => void;
  view: 'tiles' | 'list';
  onView: (view: 'tiles' | 'list') => void;
}

const groupings: { value: Grouping; name: string }[] = [
  { value: 'project', name: 'By project' },
  { value: 'month', name: 'By month taken' },
  { value: 'kind', name: 'By kind' },
  { value: 'used', name: 'By use' },
  { value: 'alike', name: 'By look-alikes' },
];
const orders: { value: Order; name: string }[] = [
  { value: 'added', name: 'Newest first' },
  { value: 'taken', name: 'As they were taken' },
  { value: 'title', name: 'By title' },
];

/** Finding, grouping and ordering what was gathered. */
export function Sorting(props: SortingProps) {
  const { query, onQuery, by, onBy, order, onOrder, view, onView } = props;
  return (
    <search className="mb-2 flex flex-wrap items-center gap-x-3.5 gap-y-2">
      <input
        className="input min-w-0 flex-1 basis-56"
        type="search"
        value={query}
        aria-label="Find in titles, captions, tags, makers and documents"
        placeholder="Find in titles, captions, tags, makers, documents"
        onChange={(event) => onQuery(event.target.value)}
      />
      <Select className="input w-auto" label="Group" value={by} options={groupings} onChange={onBy} />
      <Select className="input w-auto" label="Order" value={order} options={orders} onChange={onOrder} />
      <Segments
        label="How they are shown"
        signsOnly
        value={view}
        options={[
          { value: 'tiles', name: 'As pictures', icon: LayoutGrid },
          { value: 'list', name: 'As a list', icon: Rows3 },
        ]}
        onChange={onView}
      />
    </search>
  );
}
