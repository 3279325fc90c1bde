import { Link2 } from 'lucide-react';
import { plural } from '#core/words/plural.ts';
import { useLinkAnswers, useTryingLinks } from '../../check/use-link-answers.ts';
import { Turns } from './turns.tsx';

/** Links in words are tried when their maker asks for it: this server goes to each of them then. */
export function TryLinks() {
  const untried = useLinkAnswers()?.untried ?? 0;
  const turns = useTryingLinks(untried);
  if (turns.of === null && untried === 0) return null;
  return (
    <Turns
      {...turns}
      name="Links to elsewhere"
      Icon={Link2}
      left={untried}
      waits={`${plural(untried, 'link')} to elsewhere ${untried === 1 ? 'was' : 'were'} not tried yet, or not for a month.`}
      goes="Trying your links"
      begin={untried === 1 ? 'Try it' : 'Try them'}
    />
  );
}
