import type { Refusal } from './call.ts';

export type Direction = 'undo' | 'redo';

/** What a maker is asked before a step back or forth is taken after all. */
export interface StepQuestion {
  direction: Direction;
  title: string;
  sentence: string;
  /** What pressing the answer does. */
  answer: string;
  leave: string;
  /** What is sent when they want it. */
  wanted: { step?: number | undefined; sure?: boolean; takeOut?: boolean };
}

/**
 * The question behind a refused step; null where there is nothing to ask.
 *
 * @param step what was asked for
 */
export function stepQuestion(
  direction: Direction,
  step: number | undefined,
  { message: sentence, problem }: Pick<Refusal, 'message' | 'problem'>,
): StepQuestion | null {
  const undoing = direction === 'undo';
  const other = (problem.details as { step?: number } | undefined)?.step;
  switch (problem.code) {
    case 'would-raise':
      return {
        direction,
        sentence,
        title: undoing ? 'Take the lowering back?' : 'Raise it again?',
        answer: undoing ? 'Undo it' : 'Do it again',
        leave: 'Leave it as it is',
        wanted: { step, sure: true },
      };
    case 'other-step':
      return {
        direction,
        sentence,
        title: undoing ? 'Undo what was done elsewhere?' : 'Do again what was undone elsewhere?',
        answer: undoing ? 'Undo it' : 'Do it again',
        leave: 'Leave it as it is',
        wanted: { step: other },
      };
    case 'stuck':
      return {
        direction,
        sentence: `${sentence} Taken out of the history, what it did stays, and the step ${undoing ? 'before' : 'after'} it comes next.`,
        title: undoing ? 'This step cannot be undone' : 'This step cannot be done again',
        answer: 'Take it out',
        leave: 'Leave it in',
        wanted: { step: other, takeOut: true },
      };
    default:
      return null;
  }
}
