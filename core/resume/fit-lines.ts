import type { Id } from '../id.ts';
import type { BreakLosses, FitEntry, FitLine, FitSection, Paper } from './fit-content.ts';
import { leastLosses } from './least-loss.ts';

export interface FittedLines {
  loss: number;
  /** Entries and lines that stay out; lines of an entry that stays out are not named. */
  out: Id[];
  /** What stands on each page, in order: entries by their heads, and lines. */
  pages: { stands: Id[]; left: number }[];
}

/** How one came to a state: a step, and the one before it. */
interface Step {
  id: Id;
  /** Null: left out. */
  page: number | null;
  before: Step | null;
}
interface State {
  page: number;
  y: number;
  loss: number;
  /** The heading of the section stands. */
  headed: boolean;
  last: Step | null;
  /** Inside an entry: how many lines of it are on this page, up to two, and whether it goes on from another. */
  on: number;
  split: boolean;
}

/** Room for rounding where losses are compared that were added up in another order. */
const hair = 1e-9;

/**
 * Of states from which the same can follow, those that no other one beats: whatever can be done from further down a page can be
 * done from further up it as well.
 *
 * @param most of each kind are kept, by what they will lose at least
 * @param worst what none of those that are kept may lose more than
 */
function best(states: State[], most: number, worst: number, atLeast: (state: State) => number): State[] {
  const kinds = new Map<number, State[]>();
  for (const state of states) {
    const kind = ((state.page * 3 + state.on) * 2 + Number(state.split)) * 2 + Number(state.headed);
    const list = kinds.get(kind);
    if (list) list.push(state);
    else kinds.set(kind, [state]);
  }
  const kept: State[] = [];
  for (const list of kinds.values()) {
    list.sort((a, b) => a.y - b.y || a.loss - b.loss);
    let least = Infinity;
    const front: { state: State; loses: number }[] = [];
    for (const state of list) {
      if (state.loss >= least) continue;
      least = state.loss;
      const loses = atLeast(state);
      if (loses <= worst) front.push({ state, loses });
    }
    if (front.length > most) {
      front.sort((a, b) => a.loses - b.loses);
      front.length = most;
    }
    for (const { state } of front) kept.push(state);
  }
  return kept;
}

/** Enough to come near the best, in a moment. */
const few = 6;

/**
 * Lays out a résumé on a number of pages and leaves out what costs least: the exact minimum of all losses, those of page ends
 * included, by dynamic programming over entries and their lines (Bellman 1957; for breaking text, Knuth and Plass 1981). What
 * cannot become better than a layout that is found by looking at a few is not followed (branch and bound, Land and Doig 1960).
 *
 * An entry's head stands on one page with its first line. Two layouts of equal loss: the one that ends further up.
 *
 * @returns null where what must stay does not fit
 */
export function fitLines(
  sections: readonly FitSection[],
  paper: Paper,
  breaks: BreakLosses,
): FittedLines | null {
  if (leastHeight(sections) > paper.height * paper.pages) return null;
  const leastLoss = leastLosses(sections);
  const near = search(few, Infinity);
  const end = search(Infinity, near ? near.loss + hair : Infinity);
  return end && told(end, sections, paper);

  function search(most: number, worst: number): State | null {
    let at = 0;
    /** What a layout that goes on from a state loses in the end, at least. */
    const atLeast = ({ loss, page, y }: State) =>
      loss + leastLoss(at, (paper.pages - page) * paper.height - y, paper.pages - page - (y > 0 ? 1 : 0));
    const promising = (states: State[]) => best(states, most, worst, atLeast);
    let states: State[] = [{ page: 0, y: 0, loss: 0, headed: true, last: null, on: 0, split: false }];
    for (const section of sections) {
      states = states.map((state) => ({ ...state, headed: false }));
      for (const entry of section.entries) {
        at += 1;
        const after: State[] = [];
        let inside: State[] = [];
        for (const state of states) {
          if (entry.loss !== null) after.push(without(state, entry.id, entry.loss));
          begin(state, section, entry, paper, inside);
        }
        for (const line of entry.lines) {
          const next: State[] = [];
          for (const state of inside) {
            if (line.loss !== null) next.push(without(state, line.id, line.loss));
            place(state, line, paper, breaks, next);
          }
          inside = promising(next);
        }
        for (const state of inside) {
          if (state.split && state.on === 1) state.loss += breaks.orphan;
          state.on = 0;
          state.split = false;
          after.push(state);
        }
        states = promising(after);
      }
    }
    return states.reduce<State | null>((least, one) => {
      if (!least || one.loss < least.loss) return one;
      return one.loss === least.loss && one.page * paper.height + one.y < least.page * paper.height + least.y
        ? one
        : least;
    }, null);
  }
}

/** How high what must stay is by itself. */
function leastHeight(sections: readonly FitSection[]): number {
  let height = 0;
  for (const { entries } of sections)
    for (const { head, lines, loss } of entries)
      if (loss === null) {
        height += head;
        for (const line of lines) if (line.loss === null) height += line.height;
      }
  return height;
}

const without = ({ page, y, loss, headed, last, on, split }: State, id: Id, lost: number): State => ({
  page,
  y,
  loss: loss + lost,
  headed,
  on,
  split,
  last: { id, page: null, before: last },
});

/** Everywhere an entry can begin: here, or on the next page. */
function begin(from: State, section: FitSection, entry: FitEntry, paper: Paper, into: State[]): void {
  const own = (from.headed ? 0 : section.heading) + entry.head;
  const stand = (page: number, top: number) => {
    if (page < paper.pages && top + own <= paper.height)
      into.push({
        page,
        y: top + own,
        loss: from.loss,
        headed: true,
        on: 0,
        split: false,
        last: { id: entry.id, page, before: from.last },
      });
  };
  stand(from.page, from.y === 0 ? 0 : from.y + (from.headed ? entry.gap : section.gap));
  if (from.y > 0) stand(from.page + 1, 0);
}

/** Everywhere a line can stand: below what is there, or on the next page. */
function place(from: State, line: FitLine, paper: Paper, breaks: BreakLosses, into: State[]): void {
  const { page, y, loss, headed, last, on, split } = from;
  if (y + line.height <= paper.height)
    into.push({
      page,
      y: y + line.height,
      loss,
      headed,
      on: on === 0 ? 1 : 2,
      split,
      last: { id: line.id, page, before: last },
    });
  // A head that is left alone at the foot of a page belongs to nothing.
  if (on > 0 && page + 1 < paper.pages && line.height <= paper.height)
    into.push({
      page: page + 1,
      y: line.height,
      headed,
      on: 1,
      split: true,
      loss: loss + breaks.split + (on === 1 ? breaks.orphan : 0),
      last: { id: line.id, page: page + 1, before: last },
    });
}

function told(end: State, sections: readonly FitSection[], paper: Paper): FittedLines {
  const steps: Step[] = [];
  for (let step = end.last; step; step = step.before) steps.unshift(step);
  const pages = Array.from({ length: end.page + 1 }, (_, at) => ({
    stands: steps.filter(({ page }) => page === at).map(({ id }) => id),
    left: 0,
  }));
  const used = usedOn(sections, new Map(steps.map(({ id, page }) => [id, page])), end.page + 1);
  for (const [at, page] of pages.entries()) page.left = paper.height - (used[at] ?? 0);
  return { loss: end.loss, out: steps.filter(({ page }) => page === null).map(({ id }) => id), pages };
}

/** How much of each page is used, told from where everything stands. */
function usedOn(
  sections: readonly FitSection[],
  pageOf: ReadonlyMap<Id, number | null>,
  count: number,
): number[] {
  const used = Array.from({ length: count }, () => 0);
  for (const section of sections) {
    let headed = false;
    for (const entry of section.entries) {
      const page = pageOf.get(entry.id);
      if (page === undefined || page === null) continue;
      const y = used[page] ?? 0;
      const gap = y === 0 ? 0 : headed ? entry.gap : section.gap;
      used[page] = y + gap + (headed ? 0 : section.heading) + entry.head;
      headed = true;
      for (const line of entry.lines) {
        const at = pageOf.get(line.id);
        if (at !== undefined && at !== null) used[at] = (used[at] ?? 0) + line.height;
      }
    }
  }
  return used;
}
