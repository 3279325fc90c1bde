import { useState } from 'react';
import { useAskLink } from '../../check/use-link-answers.ts';
import { Button } from '../../ui/button.tsx';
import { notice, problemNotice } from '../../ui/notice.ts';

/** Tries a link that did not open once more. @param says the finding, to tell this button from the others */
export function TryAgain({ to, says }: { to: string; says: string }) {
  const ask = useAskLink();
  const [asking, setAsking] = useState(false);
  const again = async () => {
    setAsking(true);
    try {
      const { state } = await ask(to);
      notice(state === 'read' ? 'It opens now.' : 'It was tried again, and does not open yet.');
    } catch (error) {
      problemNotice(error instanceof Error ? error.message : 'It could not be tried.');
    } finally {
      setAsking(false);
    }
  };
  return (
    <Button small disabled={asking} onClick={() => void again()}>
      {asking ? 'Trying' : 'Try it again'}
      <span className="sr-only">: {says}</span>
    </Button>
  );
}
