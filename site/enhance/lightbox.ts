import PhotoSwipe from 'photoswipe';
import 'photoswipe/style.css';
import './lightbox.css';
import { words } from './words.ts';
import { turnButton } from './turn-button.ts';

/** Loads the style sheet that the build placed beside this script. */
function loadStyles(): Promise<void> {
  const href = import.meta.url.replace(/\.js$/, '.css');
  if (document.querySelector(`link[href="${href}"]`)) return Promise.resolve();
  return new Promise((resolve) => {
    const link = Object.assign(document.createElement('link'), { rel: 'stylesheet', href });
    link.onload = link.onerror = () => resolve();
    document.head.append(link);
  });
}

/** Gives it the ground, the ink and the type of the page that it lies over, and a name for whoever hears it. */
function dress(box: HTMLElement): void {
  const sheet = document.querySelector('.site .sheet') ?? document.body;
  const worn = getComputedStyle(sheet);
  const [paper, ink] = [worn.getPropertyValue('--paper'), worn.getPropertyValue('--ink')];
  for (const [property, value] of [
    ['--pswp-bg', paper],
    ['--pswp-placeholder-bg', paper],
    ['--pswp-icon-color', ink],
    ['--pswp-icon-color-secondary', paper],
    ['--pswp-icon-stroke-color', ink],
    ['--pswp-preloader-color', ink],
    ['--pswp-error-text-color', ink],
    ['font-family', worn.fontFamily],
  ] as const)
    box.style.setProperty(property, value);
  box.setAttribute('aria-modal', 'true');
  box.setAttribute('aria-label', document.querySelector('h1')?.textContent || document.title);
}

/** Shows the pictures of the page large, starting at one; Escape closes, arrows move, focus returns to the link. */
export async function openLightbox(links: readonly HTMLAnchorElement[], index: number): Promise<void> {
  await loadStyles();
  const dataSource = links.map((link) => {
    const [width, height] = (link.dataset['zoom'] ?? '').split('x').map(Number);
    const picture = link.querySelector('img');
    return {
      src: link.dataset['large'] ?? link.href,
      width: width || 1600,
      height: height || 1200,
      alt: picture?.alt ?? '',
      msrc: picture?.currentSrc ?? '',
      element: link,
    };
  });
  const reduced = matchMedia('(prefers-reduced-motion: reduce)').matches;
  const box = new PhotoSwipe({
    dataSource,
    index,
    bgOpacity: 1,
    showHideAnimationType: reduced ? 'none' : 'fade',
    returnFocus: false,
    wheelToZoom: true,
    closeTitle: words.close,
    zoomTitle: words.zoom,
    arrowPrevTitle: words.previous,
    arrowNextTitle: words.next,
  });
  turnButton(box);
  box.on('uiRegister', () => {
    box.ui?.registerElement({
      name: 'caption',
      order: 9,
      isButton: false,
      appendTo: 'root',
      html: '',
      onInit: (element) => {
        element.setAttribute('aria-live', 'polite');
        box.on('change', () => {
          const link = links[box.currIndex];
          element.textContent = link?.closest('figure')?.querySelector('figcaption')?.textContent ?? '';
        });
      },
    });
  });
  box.on('destroy', () => links[box.currIndex]?.focus());
  box.init();
  if (box.element) dress(box.element);
}
