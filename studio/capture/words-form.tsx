import { useId, useState } from 'react';
import { type CapturedWordsKind, mostCapturedWords } from '#core/capture/captured.ts';
import { Button } from '../ui/button.tsx';
import { Segments } from '../ui/segments.tsx';

const kinds: { value: CapturedWordsKind; name: string }[] = [
  { value: 'happened', name: 'Happened' },
  { value: 'decided', name: 'Decided' },
  { value: 'turnedDown', name: 'Turned down' },
  { value: 'next', name: 'Next' },
];
const draft = 'kite-wall captured words';

/** A few words, and where in the moment they go. What is being written survives the screen being closed. */
export function WordsForm({
  onKeep,
}: {
  onKeep: (words: { as: CapturedWordsKind; words: string }) => Promise<boolean>;
}) {
  const [as, setAs] = useState<CapturedWordsKind>('happened');
  const [words, setWords] = useState(() => window.localStorage.getItem(draft) ?? '');
  const field = useId();
  const write = (text: string) => {
    setWords(text);
    window.localStorage.setItem(draft, text);
  };
  return (
    <form
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const said = words.trim();
        if (said === '') return;
        // At once, so that what is typed while this is being written down stays; what could not be kept comes back.
        write('');
        void onKeep({ as, words: said }).then((kept) => {
          if (!kept) write([said, window.localStorage.getItem(draft) ?? ''].filter(Boolean).join('\n'));
        });
      }}
    >
      <Segments label="What these words say" value={as} options={kinds} onChange={setAs} />
      <label htmlFor={field} className="sr-only">
        Words
      </label>
      <textarea
        id={field}
        className="input min-h-16"
        rows={2}
        placeholder="In a few words"
        maxLength={mostCapturedWords}
        value={words}
        onChange={({ target }) => write(target.value)}
      />
      <Button type="submit" look="ink" className="min-h-11 justify-self-end" disabled={words.trim() === ''}>
        Keep these words
      </Button>
    </form>
  );
}
