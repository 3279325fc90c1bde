/**
 * Enhancement only; every page reads without it. A click on a picture opens the lightbox, whose code and styles
 * are fetched at the first click and not before.
 */
const links = [...document.querySelectorAll<HTMLAnchorElement>('a[data-zoom]')];

for (const [at, link] of links.entries())
  link.addEventListener('click', (event) => {
    if (event.ctrlKey || event.metaKey || event.shiftKey || event.button !== 0) return;
    event.preventDefault();
    import('./lightbox.ts').then(
      ({ openLightbox }) => openLightbox(links, at),
      () => location.assign(link.href),
    );
  });

const moving = document.querySelectorAll<HTMLAnchorElement>('a[data-moving]');
if (moving.length > 0) void import('./play-moving.ts').then(({ playMoving }) => playMoving(moving));

const framed = document.querySelectorAll<HTMLAnchorElement>('a[data-frame]');
if (framed.length > 0) void import('./open-frame.ts').then(({ openFrames }) => openFrames(framed));

const axes = document.querySelectorAll<HTMLElement>('[data-walk]');
if (axes.length > 0) void import('./walk.ts').then(({ walk }) => walk(axes));

const agendas = document.querySelectorAll<HTMLElement>('[data-agenda]');
if (agendas.length > 0) void import('./agenda.ts').then(({ agenda }) => agenda(agendas));

const pairs = document.querySelectorAll<HTMLElement>('[data-compare]');
if (pairs.length > 0) void import('./compare.ts').then(({ compare }) => compare(pairs));

const strips = document.querySelectorAll<HTMLElement>('[data-strip]');
if (strips.length > 0) void import('./strip-of-large.ts').then(({ stripOfLarge }) => stripOfLarge(strips));
