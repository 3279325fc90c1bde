import { LayoutGrid, Rows3 } from 'lucide-react';
import type { Grouping, Order } from '#core/materials/group-materials.ts';
import { Segments } from '../../ui/segments.tsx';

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

const groupingNames: Record<Grouping, string> = {
  project: 'By project',
  month: 'By month taken',
  kind: 'By kind',
  used: 'By use',
  alike: 'By look-alikes',
};
const orderNames: Record<Order, string> = {
  added: 'Newest first',
  taken: 'As they were taken',
  title: 'By title',
};

/** Finding, grouping and ordering what was gathered. */
export function Sorting(props: SortingProps) {
  const { query, onQuery, by, onBy, order, onOrder, view, onView } = props;
  return (
    <search className="sorting">
      <input
        className="input min-w-0 flex-1 basis-56"
        type="search"
        value={query}
        aria-label="Find in titles, captions, tags, makers and documents"
        placeholder="Find in titles, captions, tags, makers, documents"
        onChange={(event) => onQuery(event.target.value)}
      />
      <select
        className="input"
        aria-label="Group"
        value={by}
        onChange={(event) => onBy(event.target.value as Grouping)}
      >
        {Object.entries(groupingNames).map(([value, name]) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </select>
      <select
        className="input"
        aria-label="Order"
        value={order}
        onChange={(event) => onOrder(event.target.value as Order)}
      >
        {Object.entries(orderNames).map(([value, name]) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </select>
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
