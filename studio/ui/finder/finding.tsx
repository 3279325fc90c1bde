import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useSite } from '../../api/site-context.tsx';
import { type Action, showTheKeys, useActions, useAllActions, useFindOpener } from './actions-context.tsx';
import { fetched } from '../fetched.tsx';
import { isForStudio, isWriting } from './single-keys.ts';

const nothing = () => null;
const Finder = fetched(() => import('./finder.tsx').then((module) => module.Finder), nothing);
const KeysHelp = fetched(() => import('./keys-help.tsx').then((module) => module.KeysHelp), nothing);

/** The letter after G, and the room it leads to. */
const roomKeys: Record<string, string> = {
  g: 'gather',
  p: 'projects',
  a: 'about',
  r: 'arrange',
  l: 'look',
  c: 'check',
  s: 'share',
  f: 'feedback',
};
/** How long G waits for its letter, in ms. */
const patience = 1500;

/** Ctrl-K, `?` and G with a letter, wherever the maker is. */
export function Finding() {
  const { state } = useSite();
  const navigate = useNavigate();
  const all = useAllActions();
  const [offered, setOffered] = useState<readonly Action[] | null>(null);
  const [helping, setHelping] = useState(false);
  const pressedG = useRef(-patience);
  useActions(() => [
    { name: showTheKeys, also: 'shortcuts help', run: () => setHelping(true) },
    {
      name: 'Capture: a picture, voice or words on the way',
      also: 'phone moment quick offline',
      run: () => window.location.assign('/studio/capture/'),
    },
  ]);
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k' && !event.shiftKey) {
      event.preventDefault();
      // Asked for here and not while drawing: what is offered calls what was last drawn.
      return setOffered(offered ? null : all());
    }
    if (!isForStudio(event)) return;
    const room = roomKeys[event.key.toLowerCase()];
    const isSecond = event.timeStamp - pressedG.current < patience;
    // Any other key between the two makes them two keys, as where somebody types and no field has the focus.
    pressedG.current = event.key === 'g' && !isSecond && !isWriting(event) ? event.timeStamp : -patience;
    if (room && isSecond) {
      event.preventDefault();
      void navigate(`/${state.site.id}/${room}`);
    } else if (event.key === '?') {
      event.preventDefault();
      setHelping(true);
    }
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => onKey(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
  useFindOpener(() => setOffered(all()));
  return (
    <>
      {offered && <Finder actions={offered} onClose={() => setOffered(null)} />}
      {helping && <KeysHelp onClose={() => setHelping(false)} />}
    </>
  );
}
