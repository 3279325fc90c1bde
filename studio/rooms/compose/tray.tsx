import { DragOverlay, useDndMonitor } from '@dnd-kit/core';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Material } from '#core/materials/material.ts';
import { MaterialPicture } from '../../ui/material-picture.tsx';
import { TrayList } from './tray-list.tsx';
import { Button } from '../../ui/button.tsx';
import { SideSheet } from '../../ui/side-sheet.tsx';
import { inItem, itemLook, numberLook } from './tray-item.tsx';

interface TrayProps {
  loose: readonly Material[];
  total: number;
  /** Where a press places a picture, in words. */
  where: string;
  /** Picked to be placed together, in this order. */
  picked: readonly string[];
  onPicked: (picked: string[]) => void;
  onPlace: (ids: string[]) => void;
  folded: boolean;
  /** Where it is a sheet, it is open. */
  risen: boolean;
  onFold: (folded: boolean) => void;
}

/** Materials not used yet, ready to be placed on the page: one, or several that were picked. */
export function Tray({ loose, total, where, picked, onPicked, onPlace, folded, risen, onFold }: TrayProps) {
  const [dragged, setDragged] = useState<string | null>(null);
  useDndMonitor({
    onDragStart: ({ active }) => setDragged(String(active.id).replace(/^tray /, '')),
    onDragEnd: () => setDragged(null),
    onDragCancel: () => setDragged(null),
  });
  const inHand = loose.find(({ id }) => id === dragged);
  const together = inHand && picked.includes(inHand.id) ? picked.length : 1;
  const title = (
    <>
      Not used yet <span className="ml-1">{loose.length}</span>
    </>
  );
  return (
    <SideSheet
      as="section"
      at="compact"
      open={risen}
      className="z-1 col-[1/4] min-w-0 border-t border-t-[#d3c5ab] bg-[#e9dfcc] px-3.5 pt-1 pb-2 compact:col-1"
      aria-labelledby="tray-title"
    >
      <div className="flex min-h-8 items-center gap-3">
        <h2 id="tray-title" className="text-sm font-[650]">
          {/* On a narrow screen it is a sheet, which is open or not. */}
          <span className="min-[1021px]:hidden">{title}</span>
          <button
            type="button"
            className="inline-flex items-center gap-1.5 min-h-8 max-[1020px]:hidden"
            aria-expanded={!folded}
            onClick={() => onFold(!folded)}
          >
            {folded ? (
              <ChevronUp size={16} aria-hidden="true" />
            ) : (
              <ChevronDown size={16} aria-hidden="true" />
            )}
            {title}
          </button>
        </h2>
        {picked.length > 0 ? (
          <p className="flex items-center gap-2" role="status">
            <span className="note text-ink-2">{picked.length} picked</span>
            <Button small onClick={() => onPlace([...picked])}>
              Place {picked.length === 1 ? 'it' : 'them'} {where}
            </Button>
            <Button look="bare" small onClick={() => onPicked([])}>
              Pick none
            </Button>
          </p>
        ) : (
          <p className="note text-ink-2 max-md:hidden">
            {loose.length > 0 ? (
              <>
                Drag onto the page, or press <span className="kbd">Enter</span> to place {where};{' '}
                <span className="kbd">Space</span> picks several
              </>
            ) : total > 0 ? (
              'Everything gathered is on a page.'
            ) : (
              'Nothing is gathered yet. Drop files on the page.'
            )}
          </p>
        )}
        <Link to="../gather" className="link ml-auto text-[0.8125rem]">
          All {total} in Gather
        </Link>
      </div>
      <TrayList
        folded={folded}
        loose={loose}
        picked={picked}
        dragged={dragged}
        onPick={(id) => onPicked(picked.includes(id) ? picked.filter((one) => one !== id) : [...picked, id])}
        onPlace={(id) => onPlace(picked.includes(id) ? [...picked] : [id])}
      />
      <DragOverlay dropAnimation={null}>
        {inHand && (
          <div className={`${itemLook} -rotate-3 cursor-grabbing shadow-3`}>
            <MaterialPicture material={inHand} alt="" className={inItem} shows="name" />
            {together > 1 && <span className={numberLook}>{together} together</span>}
          </div>
        )}
      </DragOverlay>
    </SideSheet>
  );
}
