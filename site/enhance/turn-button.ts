import type PhotoSwipe from 'photoswipe';
import { words } from './words.ts';

/** A quarter turn as an arrow round three quarters of a circle. */
const arrow =
  '<path id="icon-turn" d="M16 5V1l7 6-7 6V9a8 8 0 1 0 8 8h4A12 12 0 1 1 16 5z" transform="translate(0 1)"/>';

/** Adds a button that turns what is shown large by a quarter, for a page that was scanned lying on its side. */
export function turnButton(box: PhotoSwipe): void {
  /** Degrees clockwise, by the place among the pictures. */
  const turns = new Map<number, number>();
  const show = () => {
    const slide = box.currSlide;
    const element = slide?.content.element;
    if (!slide || !element) return;
    const turn = turns.get(slide.index) ?? 0;
    const { initial } = slide.zoomLevels;
    const [width, height] = [slide.width * initial, slide.height * initial];
    const fits = Math.min(slide.panAreaSize.x / height, slide.panAreaSize.y / width, 1 / initial);
    element.style.rotate = `${turn}deg`;
    element.style.scale = turn % 180 === 0 ? '1' : String(fits);
  };
  box.on('uiRegister', () => {
    box.ui?.registerElement({
      name: 'turn',
      order: 8,
      isButton: true,
      title: words.turn,
      html: { isCustomSVG: true, inner: arrow, outlineID: 'icon-turn' },
      onClick: () => {
        const { currIndex } = box;
        turns.set(currIndex, ((turns.get(currIndex) ?? 0) + 90) % 360);
        show();
      },
    });
  });
  box.on('change', show);
  box.on('resize', show);
}
