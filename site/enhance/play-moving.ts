import { words } from './words.ts';

/**
 * Lets pictures that move be played where they stand, and stopped again. Nothing moves before somebody asks for it.
 */
export function playMoving(links: Iterable<HTMLAnchorElement>): void {
  for (const link of links) {
    const picture = link.parentElement?.querySelector('picture');
    const img = picture?.querySelector('img');
    if (!picture || !img) continue;
    // It starts and stops something here, so it is a button now.
    link.setAttribute('role', 'button');
    link.setAttribute('aria-pressed', 'false');
    const still = [...picture.querySelectorAll('source')];
    const { src, srcset } = img;
    link.addEventListener('click', (event) => {
      event.preventDefault();
      const plays = link.getAttribute('aria-pressed') === 'true';
      if (plays) {
        picture.prepend(...still);
        img.srcset = srcset;
        img.src = src;
      } else {
        still.forEach((source) => source.remove());
        img.removeAttribute('srcset');
        img.src = link.href;
      }
      link.setAttribute('aria-pressed', String(!plays));
      link.textContent = plays ? words.play : words.stop;
    });
    link.addEventListener('keydown', (event) => {
      if (event.key !== ' ') return;
      event.preventDefault();
      link.click();
    });
  }
}
