import { fetched } from '../../ui/fetched.tsx';
import { listLook, TrayItem, type TrayListProps } from './tray-item.tsx';

/** With fewer all of them are drawn. */
const drawnWhole = 60;

const ShortTray = ({ folded, loose, picked, onPick, onPlace }: TrayListProps) => (
  <ul className={listLook(folded)} tabIndex={loose.length > 0 ? undefined : -1}>
    {loose.slice(0, drawnWhole).map((material, at) => (
      <TrayItem
        key={material.id}
        material={material}
        number={at + 1}
        count={loose.length}
        picked={picked.includes(material.id)}
        leftPx={null}
        onPick={() => onPick(material.id)}
        onPlace={() => onPlace(material.id)}
      />
    ))}
  </ul>
);

const LongTray = fetched(() => import('./long-tray.tsx').then((module) => module.LongTray), ShortTray);

/** What lies in the tray, in one line. */
export const TrayList = (props: TrayListProps) =>
  props.loose.length <= drawnWhole ? <ShortTray {...props} /> : <LongTray {...props} />;
