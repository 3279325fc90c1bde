/** What stands in a list for a moment: its day, what it is called, where it is, and the first thing to see of it. */
interface Step {
  when: string;
  name: string;
  link: string | null;
  picture: Element | null;
}

const stepsOf = (list: Element): Step[] =>
  [...list.querySelectorAll('.moment')].map((moment) => {
    const heading = moment.querySelector('.told > h3, .told > h4');
    return {
      when: moment.querySelector('time')?.textContent ?? '',
      name: heading?.textContent ?? '',
      link: heading?.id ? `#${heading.id}` : null,
      picture: moment.querySelector('.shown picture'),
    };
  });

/** Puts a slider below the line of a process: it goes from moment to moment and shows each at one look, by mouse, touch and keys. */
export function walk(axes: Iterable<HTMLElement>): void {
  for (const axis of axes) {
    const list = axis.parentElement;
    const steps = list ? stepsOf(list) : [];
    if (steps.length < 2) continue;
    const slider = document.createElement('input');
    Object.assign(slider, { type: 'range', min: '0', max: `${steps.length - 1}`, value: '0' });
    slider.setAttribute('aria-label', axis.dataset['walk'] ?? '');
    const seen = document.createElement('p');
    seen.className = 'step';
    seen.hidden = true;
    const say = () => {
      const { when, name } = steps[Number(slider.value)] ?? { when: '', name: '' };
      slider.setAttribute('aria-valuetext', `${when}, ${name}`);
    };
    slider.addEventListener('input', () => {
      const step = steps[Number(slider.value)];
      if (!step) return;
      say();
      const called = document.createElement(step.link ? 'a' : 'b');
      called.textContent = step.name;
      if (step.link) called.setAttribute('href', step.link);
      const day = document.createElement('span');
      day.textContent = step.when;
      const picture = step.picture?.cloneNode(true) as Element | undefined;
      picture?.querySelector('img')?.removeAttribute('loading');
      seen.replaceChildren(...(picture ? [picture] : []), day, called);
      seen.hidden = false;
    });
    say();
    axis.append(slider, seen);
  }
}
