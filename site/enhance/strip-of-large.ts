import { which, words } from './words.ts';

/** How long one picture stands before the next one comes, in ms. Slow enough to look and to read a caption. */
const pause = 7000;

function button(name: string, onPress: () => void): HTMLButtonElement {
  const made = document.createElement('button');
  made.type = 'button';
  made.textContent = name;
  made.addEventListener('click', onPress);
  return made;
}

function enhance(place: HTMLElement): void {
  const strip = place.querySelector<HTMLElement>('.strip-of-large');
  const slides = [...(strip?.querySelectorAll<HTMLElement>(':scope > figure') ?? [])];
  if (!strip || slides.length < 2) return;
  const still = matchMedia('(prefers-reduced-motion: reduce)');
  const touch = matchMedia('(hover: none), (pointer: coarse)');

  // Written from the right, a strip is scrolled by less than nothing.
  const way = getComputedStyle(strip).direction === 'rtl' ? -1 : 1;
  const scrolled = () => Math.abs(strip.scrollLeft);
  const middle = (slide: HTMLElement) => {
    const [own, all] = [slide.getBoundingClientRect(), strip.getBoundingClientRect()];
    const past = way > 0 ? own.left - all.left : all.right - own.right;
    return past + scrolled() + own.width / 2 - strip.clientWidth / 2;
  };
  /** The one nearest to the middle; at either end the strip cannot bring its last ones there. */
  const at = () => {
    if (scrolled() <= 1) return 0;
    if (scrolled() >= strip.scrollWidth - strip.clientWidth - 1) return slides.length - 1;
    const far = slides.map((slide) => Math.abs(middle(slide) - scrolled()));
    return far.indexOf(Math.min(...far));
  };
  const go = (to: number) =>
    strip.scrollTo({
      left: way * (to === 0 ? 0 : to === slides.length - 1 ? strip.scrollWidth : middle(slides[to] ?? strip)),
      behavior: still.matches ? 'auto' : 'smooth',
    });

  const back = button(words.previous, () => go(Math.max(0, at() - 1)));
  const on = button(words.next, () => go(Math.min(slides.length - 1, at() + 1)));
  const count = document.createElement('span');
  const tools = document.createElement('div');
  tools.className = 'strip-tools';
  tools.append(back, on, count);
  place.append(tools);
  const say = () => {
    const now = at();
    count.textContent = which(now + 1, slides.length);
    back.disabled = now === 0;
    on.disabled = now === slides.length - 1;
  };
  strip.addEventListener('scroll', say, { passive: true });
  new ResizeObserver(say).observe(strip);
  say();

  // By itself only where its maker wants it, for readers who do not mind motion and have a pointer to stop it with.
  if (place.dataset['strip'] !== 'plays' || still.matches || touch.matches) return;
  let timer: ReturnType<typeof setInterval> | undefined;
  let stopped = false;
  const stop = () => clearInterval(timer);
  const start = () => {
    stop();
    if (stopped || document.hidden || place.matches(':hover, :focus-within')) return;
    timer = setInterval(() => go(at() === slides.length - 1 ? 0 : at() + 1), pause);
  };
  const toggle = button(words.stop, () => {
    stopped = !stopped;
    toggle.textContent = stopped ? words.play : words.stop;
    if (stopped) stop();
    else timer = setInterval(() => go(at() === slides.length - 1 ? 0 : at() + 1), pause);
  });
  tools.append(toggle);
  const forGood = () => {
    if (stopped) return;
    stopped = true;
    toggle.textContent = words.play;
    stop();
  };
  place.addEventListener('pointerenter', stop);
  place.addEventListener('pointerleave', start);
  place.addEventListener('focusin', stop);
  place.addEventListener('focusout', start);
  document.addEventListener('visibilitychange', () => (document.hidden ? stop() : start()));
  // Who moves it themselves, or touches it, has taken over.
  for (const taken of ['touchstart', 'wheel', 'keydown'])
    strip.addEventListener(taken, forGood, { passive: true });
  still.addEventListener('change', forGood);
  start();
}

/** Gives strips of large pictures buttons and a count, and lets those play by themselves whose maker wants it. */
export function stripOfLarge(places: Iterable<HTMLElement>): void {
  for (const place of places) enhance(place);
}
