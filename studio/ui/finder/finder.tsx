import { Command } from 'cmdk';
import { useNavigate } from 'react-router';
import { useSite } from '../../api/site-context.tsx';
import { kindNames } from '../kind-names.ts';
import { materialName } from '../material-picture.tsx';
import { rooms } from '../rooms.ts';
import type { Action } from './actions-context.tsx';
import { shownOn } from '#core/pages/page.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';

interface FinderProps {
  actions: readonly Action[];
  onClose: () => void;
}

/** Finds any page, material, room or action by typing a piece of its name. */
export function Finder({ actions, onClose }: FinderProps) {
  const { state } = useSite();
  const navigate = useNavigate();
  const base = `/${state.site.id}`;
  const go = (to: string) => {
    onClose();
    void navigate(`${base}/${to}`);
  };
  const pages = state.pages.filter((page) => rulesOfPage(page).opens);
  return (
    <Command.Dialog
      open
      label="Find a page, a material or something to do"
      overlayClassName="dialog-shade"
      contentClassName="dialog finder"
      onOpenChange={(open) => {
        if (!open) onClose();
      }}
    >
      <Command.Input className="input" placeholder="A page, a picture, a room, something to do" />
      <Command.List>
        <Command.Empty>Nothing here is called that.</Command.Empty>
        {actions.length > 0 && (
          <Command.Group heading="To do here">
            {actions.map(({ name, also, run }, at) => (
              <Command.Item
                key={`${name} ${at}`}
                value={`${name} ${at}`}
                keywords={[name, ...(also ? [also] : [])]}
                onSelect={() => {
                  onClose();
                  run();
                }}
              >
                {name}
              </Command.Item>
            ))}
          </Command.Group>
        )}
        <Command.Group heading="Pages">
          {pages.map((page) => (
            <Command.Item
              key={page.id}
              value={page.id}
              keywords={[pageName(page), shownOn(page).summary]}
              onSelect={() => go(`projects/${page.id}`)}
            >
              {pageName(page)}
              {page.archived && <small>put away</small>}
            </Command.Item>
          ))}
        </Command.Group>
        <Command.Group heading="Rooms">
          {rooms.map(({ path, name, icon: Icon }) => (
            <Command.Item key={path} value={`room ${path}`} keywords={[name]} onSelect={() => go(path)}>
              <Icon size={16} aria-hidden="true" />
              {name}
            </Command.Item>
          ))}
        </Command.Group>
        <Command.Group heading="Gathered">
          {state.materials.map((material) => (
            <Command.Item
              key={material.id}
              value={material.id}
              keywords={[materialName(material), material.caption, material.fileName, ...material.tags]}
              onSelect={() => go(`gather?look=${material.id}`)}
            >
              {materialName(material)}
              <small>{kindNames[material.kind]}</small>
            </Command.Item>
          ))}
        </Command.Group>
      </Command.List>
    </Command.Dialog>
  );
}
