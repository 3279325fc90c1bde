import { Button } from './button.tsx';
/** Waiting, in words and without shimmer. */
export function Loading({ what }: { what: string }) {
  return (
    <div className="grid h-full min-h-40 place-items-center" role="status">
      <p className="note">{what}…</p>
    </div>
  );
}

/** Something could not be loaded: what happened and the way on. */
export function Trouble({ error, again }: { error: Error; again: () => void }) {
  return (
    <main className="grid h-full min-h-60 place-content-center gap-4 p-6">
      <h1>This did not load</h1>
      <p className="max-w-prose" role="alert">
        {error.message}
      </p>
      <p>
        <Button onClick={again}>Try again</Button>
      </p>
    </main>
  );
}
