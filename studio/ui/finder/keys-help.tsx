import { useState } from 'react';
import { Dialog } from '../dialog.tsx';
import { setSingleKeys, singleKeysOn } from './single-keys.ts';

const groups: { name: string; keys: [keys: string[], what: string][] }[] = [
  {
    name: 'Everywhere',
    keys: [
      [['Ctrl', 'K'], 'find a page, a material or something to do'],
      [['Ctrl', 'Z'], 'undo'],
      [['Ctrl', 'Shift', 'Z'], 'do again'],
      [['Esc'], 'close, or leave what is selected'],
      [['?'], 'these keys'],
      [
        ['G', 'then', 'P'],
        'to Projects; G for Gather, A for About you, R for Arrange, L for Look, C for Check, S for Share, F for Feedback',
      ],
    ],
  },
  {
    name: 'On a page',
    keys: [
      [['/'], 'add something to the page, then type what it is'],
      [['↑', '↓'], 'in the tail: the part above, the part below'],
      [['Alt', '↑'], 'in the tail: move a part up; with ↓ down'],
      [['Enter'], 'edit the part; in the tray: place it on the page'],
      [['Space'], 'in the tray: pick several, to be placed together'],
      [['Del'], 'in the tail: take a part off'],
      [['←', '→'], 'on the line between two parts: how wide the first is'],
    ],
  },
  {
    name: 'Moving things',
    keys: [
      [['Space'], 'on a handle: pick it up, and let it go'],
      [['↑', '↓', '←', '→'], 'move what was picked up'],
      [['F2'], 'in Gather: write a title'],
    ],
  },
];

/** All keys, and the switch for those that are pressed alone. */
export function KeysHelp({ onClose }: { onClose: () => void }) {
  const [single, setSingle] = useState(singleKeysOn);
  return (
    <Dialog title="Keys" wide onClose={onClose}>
      <div className="grid grid-cols-[repeat(auto-fit,minmax(min(100%,15rem),1fr))] gap-x-7 gap-y-4">
        {groups.map(({ name, keys }) => (
          <section key={name}>
            <h3>{name}</h3>
            <dl>
              {keys.map(([pressed, what]) => (
                <div
                  key={what}
                  className="grid grid-cols-[7.5rem_1fr] gap-2 border-t border-t-line py-[5px] text-s"
                >
                  <dt>
                    {pressed.map((key, at) =>
                      key === 'then' ? (
                        <span key={at}> then </span>
                      ) : (
                        <kbd key={at} className="kbd">
                          {key}
                        </kbd>
                      ),
                    )}
                  </dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
      <p className="note mt-3">On a Mac it is Cmd instead of Ctrl.</p>
      <label className="check mt-2">
        <input
          type="checkbox"
          checked={single}
          onChange={(event) => {
            setSingleKeys(event.target.checked);
            setSingle(event.target.checked);
          }}
        />
        Keys pressed alone do something ( / ? G )
      </label>
    </Dialog>
  );
}
