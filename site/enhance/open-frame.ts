/**
 * Puts what a link leads to in the place of its still once a reader asks for it. Until then nothing is fetched from
 * elsewhere.
 */
export function openFrames(links: Iterable<HTMLAnchorElement>): void {
  for (const link of links) {
    const open = () => {
      const frame = document.createElement('iframe');
      frame.title = link.dataset['title'] ?? '';
      // It runs its own scripts in its own origin; it cannot lead this page elsewhere.
      frame.sandbox.add(
        'allow-scripts',
        'allow-same-origin',
        'allow-forms',
        'allow-popups',
        'allow-presentation',
        'allow-popups-to-escape-sandbox',
      );
      frame.allow = 'autoplay; fullscreen; picture-in-picture; encrypted-media';
      // Which site shows it, and never which page or by which link.
      frame.referrerPolicy = 'strict-origin';
      frame.src = link.dataset['frame'] ?? '';
      link.replaceWith(frame);
      frame.focus();
    };
    // It changes this page, so it is a button now.
    link.setAttribute('role', 'button');
    link.addEventListener('click', (event) => {
      if (event.ctrlKey || event.metaKey || event.shiftKey || event.button !== 0) return;
      event.preventDefault();
      open();
    });
    link.addEventListener('keydown', (event) => {
      if (event.key !== ' ') return;
      event.preventDefault();
      open();
    });
  }
}
