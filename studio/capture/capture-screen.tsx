import { MapPinOff, X } from 'lucide-react';
import { useState } from 'react';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { oneMomentMinutes, runningCapture } from '#core/capture/running-capture.ts';
import type { CapturePlace } from '#contract/capture.ts';
import { Button } from '../ui/button.tsx';
import { Select } from '../ui/select.tsx';
import { lastSite } from '../ui/last-site.ts';
import { CaptureButtons } from './capture-buttons.tsx';
import { InstallHint } from './install-hint.tsx';
import type { KeptThing, KnownPlaces, Place } from './kept-things.ts';
import { useKept } from './use-kept.ts';
import { type LastFile, useKeeping } from './use-keeping.ts';
import { type SendingState, useSending } from './use-sending.ts';
import { useNow } from './use-now.ts';
import { WaitingThings } from './waiting-things.tsx';
import { WordsForm } from './words-form.tsx';

const called = ({ kind, title }: CapturePlace): string => rulesOfPage({ kind }).called(title);

/** The pages to choose from; with their sites where there are several. */
function optionsOf({ pages }: KnownPlaces) {
  const several = new Set(pages.map(({ site }) => site)).size > 1;
  return pages.map((one) => ({
    value: one.page,
    name: several ? `${called(one)} · ${one.siteTitle}` : called(one),
  }));
}

/** As high whatever stands below it: what is pressed there must not move away while things arrive. */
const shownHeight = 'h-[32dvh] min-h-40 flex-none';

/** What was kept last, and what became of its place. */
function Shown({ last }: { last: LastFile | null }) {
  if (!last?.url)
    return (
      <div className={`grid ${shownHeight} place-items-center bg-sunk p-6 text-center`}>
        <p className="max-w-[30ch] text-ink-2">
          {last
            ? `${last.name} is kept.`
            : 'Take a picture, say it, or write it. It is kept on this device first, and goes to the studio by itself.'}
        </p>
      </div>
    );
  return (
    <figure className={`relative grid ${shownHeight} bg-ink`}>
      <img
        src={last.url}
        alt="What you took last"
        className="absolute inset-0 h-full w-full object-contain"
      />
      <figcaption className="absolute top-3 left-1/2 flex -translate-x-1/2 items-center gap-1.5 rounded-full bg-ink px-3 py-1 text-s whitespace-nowrap text-raised">
        <MapPinOff size={14} aria-hidden="true" />
        {last.place === 'out' ? 'Place taken out' : 'A place may still be in this file'}
      </figcaption>
    </figure>
  );
}

/**
 * How far what is kept has come, in a sentence.
 * @param underWay how many things are taken and not kept yet
 */
function sentence(state: SendingState, mine: readonly KeptThing[], others: number, underWay: number): string {
  const waiting = mine.filter(({ trouble, place }) => trouble === null && place !== null).length;
  const count = waiting === 1 ? '1 thing' : `${waiting} things`;
  const elses =
    others > 0
      ? ` ${others} of another account ${others === 1 ? 'waits' : 'wait'} until it is signed in here.`
      : '';
  // Until then nothing may be called kept, or arrived, and nobody should close the screen on it.
  if (underWay > 0)
    return `Putting ${underWay === 1 ? '1 thing' : `${underWay} things`} by on this device.${elses}`;
  if (mine.some(({ trouble }) => trouble !== null)) return `Not all of it could be sent.${elses}`;
  if (mine.some(({ place }) => place === null)) return `Choose a page for what has none yet.${elses}`;
  if (state === 'signed-out')
    return waiting === 0
      ? `You are signed out here.${elses}`
      : `Kept on this device, ${count} to send. You are signed out here.`;
  if (waiting === 0 && state === 'looking') return 'Looking whether anything waits.';
  if (waiting === 0)
    return state === 'no-line'
      ? 'No network. What you keep stays on this device.'
      : `Everything has arrived.${elses}`;
  if (state === 'no-line') return `Kept on this device, ${count} to send.${elses}`;
  return `Sending, ${count} to go.${elses}`;
}

/** The one screen for keeping what happens while the work goes on. */
export function CaptureScreen() {
  const { kept, problem } = useKept();
  const now = useNow();
  const [chosen, setChosen] = useState<string | null>(null);
  const known = kept?.known ?? null;
  const things = kept?.things ?? [];
  // Of those whose maker has signed out here nothing is shown, but that it waits.
  const mine = things.filter(({ account }) => account === null || account === known?.account);
  const { state, again } = useSending(
    mine.filter(({ trouble, place }) => trouble === null && place !== null).length,
  );
  const running = kept?.running ?? null;
  const goesOn = running !== null && runningCapture(running, running.page, now) !== null;
  const pages = known?.pages ?? [];
  const found =
    pages.find(({ page }) => page === chosen) ??
    pages.find(({ page }) => goesOn && page === running.page) ??
    pages.find(({ site }) => site === lastSite()) ??
    pages[0];
  const place: Place | null = found ? { site: found.site, page: found.page, title: called(found) } : null;
  const { last, problem: noRoom, times, underWay, keepWords, keepFiles } = useKeeping(place);
  const inMoment = running && place && runningCapture(running, place.page, now) !== null ? running.count : 0;
  const waits = mine.length > 0 || underWay > 0 || state === 'no-line' || state === 'signed-out';
  const missed = new URLSearchParams(window.location.search).has('not-kept');
  return (
    <main data-kept={times} className="mx-auto flex min-h-dvh max-w-[560px] flex-col bg-paper">
      <header className="flex min-h-15 items-center gap-2 p-2">
        {/* Without a network there is nowhere to go. */}
        {state !== 'no-line' && (
          <Button asChild look="bare" className="size-11 px-0">
            <a href={place ? `/studio/${place.site}/projects/${place.page}/moments` : '/studio/'}>
              <X size={20} aria-hidden="true" />
              <span className="sr-only">Close, and go to the studio</span>
            </a>
          </Button>
        )}
        <h1 className="sr-only">Capture</h1>
        {known && pages.length > 0 ? (
          <Select
            label="For which page"
            className="input min-h-11 flex-1 font-head font-strong"
            value={place?.page ?? ''}
            options={optionsOf(known)}
            onChange={setChosen}
          />
        ) : (
          <p className="font-head font-strong">
            {kept && (state === 'no-line' || state === 'signed-out')
              ? 'No page is known here yet'
              : 'Opening'}
          </p>
        )}
      </header>
      <Shown last={last} />
      <CaptureButtons onFiles={(files) => void keepFiles(files)} />
      <div className="grid gap-3 p-3">
        <p className="note" role="status">
          <b className="text-ink">
            {inMoment === 0
              ? 'The next thing begins a moment'
              : inMoment === 1
                ? 'One moment, 1 thing'
                : `One moment, ${inMoment} things`}
          </b>
          . What comes within {oneMomentMinutes} minutes of the last goes with it.
        </p>
        <WordsForm onKeep={keepWords} />
        {(noRoom || problem || missed) && (
          <p className="text-clay" role="alert">
            {noRoom ||
              (problem
                ? 'This browser keeps nothing on this device; in a private window it may not. Open this screen in a usual one.'
                : 'What was shared could not be kept. Share it once more, or add it here with Files.')}
          </p>
        )}
      </div>
      <footer
        className={`mt-auto grid gap-2 p-3 ${waits ? 'bg-straw-wash text-straw-ink' : 'bg-sunk text-ink-2'}`}
      >
        <p className="flex flex-wrap items-center justify-between gap-2">
          <span role="status" className="font-firm">
            {sentence(state, mine, things.length - mine.length, underWay)}
          </span>
          {state === 'signed-out' ? (
            <Button asChild>
              <a href="/studio/">Sign in</a>
            </Button>
          ) : (
            state === 'no-line' && <Button onClick={again}>Try now</Button>
          )}
        </p>
        {mine.length > 0 && <WaitingThings things={mine} place={place} />}
        <InstallHint />
      </footer>
    </main>
  );
}
