import {
  Archive,
  ArrowDown,
  ArrowUp,
  Copy,
  CopyPlus,
  CornerDownRight,
  CornerLeftUp,
  Ellipsis,
  Eye,
  EyeOff,
  PencilLine,
  Send,
  Trash2,
} from 'lucide-react';
import type { Id } from '#core/id.ts';
import { standsInMenu } from '#core/menu/stands-in-menu.ts';
import type { Page } from '#core/pages/page.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { plural } from '#core/words/plural.ts';
import { IconButton } from '../../ui/icon-button.tsx';
import { Menu, MenuItem, MenuRule } from '../../ui/menu.tsx';
import type { Step } from './use-carrying.ts';

/** What can be done with one slip, told by the page's id so that the functions stay the same. */
export interface SlipActions {
  onCarry: (id: Id) => void;
  onStep: (id: Id, step: Step) => void;
  onSettings: (id: Id) => void;
  onInMenu: (id: Id, inMenu: boolean) => void;
  onCopy: (id: Id, withBelow: boolean) => void;
  onSend: (id: Id) => void;
  onPutAway: (id: Id) => void;
  onDelete: (id: Id, below: 'delete' | 'keep') => void;
}

interface SlipMenuProps extends SlipActions {
  page: Page;
  /** How many pages stand right below it. */
  below: number;
}

/** All that can be done with a page on the string. */
export function SlipMenu({ page, below, ...act }: SlipMenuProps) {
  const { id } = page;
  const name = pageName(page);
  const { isFront, isSingle, inMenu } = rulesOfPage(page);
  const shown = standsInMenu(page);
  return (
    <Menu
      align="end"
      opener={
        <IconButton small label={`More for ${name}`}>
          <Ellipsis size={18} aria-hidden="true" />
        </IconButton>
      }
    >
      <MenuItem
        icon={PencilLine}
        name={
          isFront
            ? 'Address'
            : page.kind === 'link'
              ? 'Name and where it leads'
              : page.kind === 'heading'
                ? 'Name'
                : 'Name and address'
        }
        onSelect={() => act.onSettings(id)}
      />
      {(inMenu(page.title) !== null || page.inMenu !== null) && (
        <MenuItem
          icon={shown ? EyeOff : Eye}
          name={shown ? 'Leave it out of the menu' : 'Put it in the menu'}
          note={shown ? 'Whoever has its address still opens it' : undefined}
          onSelect={() => act.onInMenu(id, !shown)}
        />
      )}
      {!isFront && (
        <>
          <MenuRule />
          <MenuItem icon={ArrowUp} name="Up" onSelect={() => act.onStep(id, 'up')} />
          <MenuItem icon={ArrowDown} name="Down" onSelect={() => act.onStep(id, 'down')} />
          <MenuItem
            icon={CornerDownRight}
            name="Under what stands above it"
            onSelect={() => act.onStep(id, 'under')}
          />
          <MenuItem icon={CornerLeftUp} name="Out, a level higher" onSelect={() => act.onStep(id, 'out')} />
          <MenuRule />
          {!isSingle && (
            <MenuItem
              icon={Copy}
              name="Copy"
              note="Private, at the end of where this one stands"
              onSelect={() => act.onCopy(id, false)}
            />
          )}
          {!isSingle && below > 0 && (
            <MenuItem icon={CopyPlus} name="Copy with all below" onSelect={() => act.onCopy(id, true)} />
          )}
          <MenuItem icon={Send} name="Take it to another site" onSelect={() => act.onSend(id)} />
          <MenuItem
            icon={Archive}
            name="Put away"
            note={
              below > 0
                ? 'With all below it: closed to everybody at once, nothing is deleted'
                : 'Closed to everybody at once; nothing is deleted'
            }
            onSelect={() => act.onPutAway(id)}
          />
          {below > 0 && (
            <MenuItem
              icon={Trash2}
              name="Delete, and keep what is below"
              note={`${plural(below, 'page')} will take its place, no higher than now`}
              onSelect={() => act.onDelete(id, 'keep')}
            />
          )}
          <MenuItem
            icon={Trash2}
            name={below > 0 ? 'Delete with all below' : 'Delete'}
            note="Undo brings it back"
            onSelect={() => act.onDelete(id, 'delete')}
          />
        </>
      )}
    </Menu>
  );
}
