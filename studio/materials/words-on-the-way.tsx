import type { WholeWords } from '../api/use-whole-words.ts';
import { Button } from '../ui/button.tsx';

/** In the place of long words until they are here. */
export function WordsOnTheWay({
  of = 'it',
  error,
  again,
}: Pick<WholeWords, 'error' | 'again'> & {
  /** In what it is said. */
  of?: string;
}) {
  if (!error)
    return (
      <p className="note" role="status">
        Fetching what is said in {of}…
      </p>
    );
  return (
    <div role="alert">
      <p className="field-problem">
        What is said in {of} did not come. {error.message}
      </p>
      <Button small className="mt-2" onClick={again}>
        Fetch it again
      </Button>
    </div>
  );
}
