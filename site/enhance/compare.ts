/** Lays two pictures of one thing over each other, with a slider that uncovers the later one, by mouse, touch and keys. */
export function compare(places: Iterable<HTMLElement>): void {
  for (const place of places) {
    const [before, after] = place.querySelectorAll('figcaption b');
    const slider = document.createElement('input');
    slider.type = 'range';
    slider.min = '0';
    slider.max = '100';
    slider.value = '50';
    const [first = '', last = ''] = [before?.textContent, after?.textContent].map(
      (name) => name ?? undefined,
    );
    slider.setAttribute('aria-label', `${first} or ${last}`);
    const show = () => {
      place.style.setProperty('--shown', `${slider.value}%`);
      slider.setAttribute('aria-valuetext', `${slider.value} % ${first}`);
    };
    slider.addEventListener('input', show);
    place.classList.add('slides');
    const edge = document.createElement('span');
    edge.className = 'edge';
    place.append(edge, slider);
    show();
  }
}
