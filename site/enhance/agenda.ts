/** Today, where the reader is, as ISO 8601 writes it. */
const today = (): string => new Date().toLocaleDateString('sv');

/** Puts what is over aside, and marks what comes next. */
export function agenda(agendas: NodeListOf<HTMLElement>): void {
  const now = today();
  for (const one of agendas) {
    const aside = one.querySelector('details');
    const list = aside?.querySelector('ol');
    if (!aside || !list) continue;
    const entries = [...one.querySelectorAll<HTMLLIElement>(':scope > ol > li')];
    const over = entries.filter(({ dataset }) => dataset['day'] !== undefined && dataset['day'] < now);
    list.append(...over);
    aside.hidden = over.length === 0;
    entries.find(({ dataset }) => (dataset['day'] ?? '') >= now)?.classList.add('coming');
  }
}
