import { useState } from 'react';
import { useAskLink } from '../../check/use-link-answers.ts';
import { Button } from '../../ui/button.tsx';
import { notice, problemNotice } from '../../ui/notice.ts';

interface TryAgainProps {
  to: string;
  /** The finding, to tell this button from the others. */
  says: string;
  /** It opens now, so that the finding goes. */
  onMended: () => void;
}

/** Tries a link that did not open once more. */
export function TryAgain({ to, says, onMended }: TryAgainProps) {
  const ask = useAskLink();
  const [asking, setAsking] = useState(false);
  const again = async () => {
    if (asking) return;
    setAsking(true);
    try {
      const { state } = await ask(to);
      if (state === 'read') onMended();
      notice(state === 'read' ? 'It opens now.' : 'It was tried again, and does not open yet.');
    } catch (error) {
      problemNotice(error instanceof Error ? error.message : 'It could not be tried.');
    } finally {
      setAsking(false);
    }
  };
  // Not disabled while it is tried, which would take the focus off it.
  return (
    <Button small aria-disabled={asking} onClick={() => void again()}>
      {asking ? 'Trying' : 'Try it again'}
      <span className="sr-only">: {says}</span>
    </Button>
  );
}
