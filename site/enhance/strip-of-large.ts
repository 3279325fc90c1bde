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

  const middle = (slide: HTMLElement) =>
    slide.offsetLeft - strip.offsetLeft + slide.offsetWidth / 2 - strip.clientWidth / 2;
  /** The one nearest to the middle; at either end the strip cannot bring its last ones there. */
  const at = () => {
    if (strip.scrollLeft <= 1) return 0;
    if (strip.scrollLeft >= strip.scrollWidth - strip.clientWidth - 1) return slides.length - 1;
    const far = slides.map((slide) => Math.abs(middle(slide) - strip.scrollLeft));
    return far.indexOf(Math.min(...far));
  };
  const go = (to: number) =>
    strip.scrollTo({
      left: to === 0 ? 0 : to === slides.length - 1 ? strip.scrollWidth : middle(slides[to] ?? strip),
      behavior: still.matches ? 'auto' : 'smooth',
    });

  const back = button('Before', () => go(Math.max(0, at() - 1)));
  const on = button('Next', () => go(Math.min(slides.length - 1, at() + 1)));
  const count = document.createElement('span');
  const tools = document.createElement('div');
  tools.className = 'strip-tools';
  tools.append(back, on, count);
  place.append(tools);
  const say = () => {
    const now = at();
    count.textContent = `${now + 1} of ${slides.length}`;
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
  const toggle = button('Stop', () => {
    stopped = !stopped;
    toggle.textContent = stopped ? 'Play' : 'Stop';
    if (stopped) stop();
    else timer = setInterval(() => go(at() === slides.length - 1 ? 0 : at() + 1), pause);
  });
  tools.append(toggle);
  const forGood = () => {
    if (stopped) return;
    stopped = true;
    toggle.textContent = 'Play';
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
