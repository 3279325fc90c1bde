import { useEffect, useId, useRef, useState } from 'react';
import { useSite } from '../../../api/site-context.tsx';
import { useSecondLookChanges, useSecondLooks } from '../../../api/use-second-looks.ts';
import { Button } from '../../../ui/button.tsx';
import { AskForm } from './ask-form.tsx';
import { OneLook } from './one-look.tsx';

/** Who looks at the draft for its maker: asked here, and read here. */
export function SecondLooks() {
  const { state } = useSite();
  const site = state.site.id;
  const id = useId();
  const { data, error, refetch } = useSecondLooks(site);
  const { ask, end, remove } = useSecondLookChanges(site);
  const [asking, setAsking] = useState(false);
  const [made, setMade] = useState<string | null>(null);
  const newest = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (made !== null) newest.current?.focus();
  }, [made]);
  const looks = data?.looks ?? [];
  return (
    <section aria-labelledby={`${id}-title`} className="grid content-start gap-4">
      <div>
        <h2 id={`${id}-title`} className="text-l">
          Second look
        </h2>
        <p className="note">
          Somebody opens your draft by a link that ends by itself, ticks a list, and asks where something is
          unclear. Only you see what they say.
        </p>
      </div>
      {error && (
        <p>
          Second looks could not be fetched.{' '}
          <button type="button" className="link" onClick={() => void refetch()}>
            Try again
          </button>
        </p>
      )}
      {asking ? (
        <AskForm
          busy={ask.isPending}
          onLeave={() => setAsking(false)}
          onAsk={(wanted) =>
            ask.mutate(wanted, {
              onSuccess: ({ looks: [first] }) => {
                setAsking(false);
                setMade(first?.id ?? null);
              },
            })
          }
        />
      ) : (
        <Button small className="justify-self-start" onClick={() => setAsking(true)}>
          {looks.length === 0 ? 'Ask somebody' : 'Ask somebody else'}
        </Button>
      )}
      {looks.map((look) => (
        <OneLook
          key={look.id}
          look={look}
          heading={look.id === made ? newest : null}
          busy={end.isPending || remove.isPending}
          onEnd={() => end.mutate(look.id)}
          onRemove={() => remove.mutate(look.id)}
        />
      ))}
    </section>
  );
}
