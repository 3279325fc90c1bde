import { ScanText } from 'lucide-react';
import { plural } from '#core/words/plural.ts';
import { useInside, useReadingPictures } from '../../check/use-inside.ts';
import { Turns } from './turns.tsx';

const them = (count: number) => (count === 1 ? 'it' : 'them');

/** What is to be seen in pictures is looked for when their maker asks for it: it takes some seconds each. */
export function ReadPictures() {
  const { unread = 0, unreadable = 0 } = useInside().data ?? {};
  const turns = useReadingPictures(unread);
  if (turns.of === null && unread === 0 && unreadable === 0) return null;
  return (
    <Turns
      {...turns}
      name="What is to be seen in pictures"
      Icon={ScanText}
      left={unread}
      waits={
        unread > 0
          ? `${plural(unread, 'picture or page', 'pictures and pages')} ${unread === 1 ? 'was' : 'were'} not looked through yet for faces and for what is written in ${them(unread)}.`
          : `${plural(unreadable, 'picture or page', 'pictures and pages')} could not be looked through. Do that yourself.`
      }
      goes="Looking through your pictures and pages"
      begin={`Look through ${them(unread)}`}
    />
  );
}
