/** @jest-environment ./build/document.jest.js */
import { describe, expect, test } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import type { SiteState } from '#contract/site-state.ts';
import { type Asked, emptySite, openSite, patchOf } from '../testing/open-site.tsx';
import { useSite } from './site-context.tsx';

function Room() {
  const { state, undo, changeSite } = useSite();
  return (
    <>
      <p>{state.history.undo ? `Next: ${state.history.undo.label}` : 'Nothing to undo'}</p>
      <button type="button" onClick={() => void undo()}>
        Undo
      </button>
      <label>
        Name
        <input
          value={state.site.title}
          onChange={(event) => changeSite({ title: event.target.value }, 'Name of the site')}
        />
      </label>
      <input type="checkbox" aria-label="In this version" />
    </>
  );
}

/** A site with steps to take back, the last one first; each is known by its number. */
const withSteps = (
  ...labels: string[]
): { state: SiteState; answer: (asked: Asked) => { body: unknown } } => {
  const left = labels.map((label, at) => ({ label, step: 100 - at }));
  const history = () => ({ undo: left[0] ?? null, redo: null });
  return {
    state: { ...emptySite, history: history() },
    answer: () => {
      const taken = left.shift();
      return { body: { ...patchOf({ history: history() }), label: taken?.label ?? '', takenOut: false } };
    },
  };
};
const stepsIn = (asked: readonly Asked[]) =>
  asked.filter(({ path }) => path.endsWith('/undo')).map(({ body }) => (body as { step?: number }).step);
const refuse = (code: string, step: number) => ({
  status: 409,
  body: { code, message: `It is ${code}.`, details: { step } },
});

describe('undo', () => {
  test('pressed three times before an answer has come takes three steps, each by its own number', async () => {
    const { state, answer } = withSteps('C', 'B', 'A');
    let go = () => {};
    const held = new Promise<void>((resolve) => (go = resolve));
    const { user, asked } = await openSite(<Room />, async (one) => (await held, answer(one)), state);
    const undo = screen.getByRole('button', { name: 'Undo' });
    for (let n = 0; n < 3; n++) await user.click(undo);
    go();
    await screen.findByText('Nothing to undo');
    expect(stepsIn(asked)).toEqual([100, 99, 98]);
  });

  test('by Ctrl-Z anywhere but in a field, where the browser takes back what was typed', async () => {
    const { state, answer } = withSteps('B', 'A');
    const { user, asked } = await openSite(<Room />, answer, state);
    await user.click(screen.getByLabelText('Name'));
    await user.keyboard('{Control>}z{/Control}');
    await user.click(document.body);
    await user.keyboard('{Control>}z{/Control}');
    await screen.findByText('Next: A');
    expect(stepsIn(asked)).toEqual([100]);
  });

  test('sends first what is being typed, so that it is the step that is taken back', async () => {
    const { state, answer } = withSteps('B', 'A');
    const { user, asked } = await openSite(
      <Room />,
      (one) =>
        one.method === 'PATCH'
          ? {
              body: {
                ...patchOf({ history: { undo: { label: 'Name', step: 101 }, redo: null } }),
                joined: false,
              },
            }
          : answer(one),
      state,
    );
    await user.type(screen.getByLabelText('Name'), '!');
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(stepsIn(asked)).toEqual([101]));
    expect(asked.map(({ method }) => method)).toEqual(['PATCH', 'POST']);
  });

  test('a step from another device is asked about, and taken only when its maker says so', async () => {
    const { state, answer } = withSteps('B', 'A');
    const { user, asked } = await openSite(
      <Room />,
      (one) => ((one.body as { step: number }).step === 120 ? answer(one) : refuse('other-step', 120)),
      state,
    );
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await screen.findByRole('alertdialog', { name: 'Undo what was done elsewhere?' });
    expect(screen.getByText('It is other-step.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Leave it as it is' }));
    expect(stepsIn(asked)).toEqual([100]);
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await user.click(await screen.findByRole('button', { name: 'Undo it' }));
    await screen.findByText('Next: A');
    expect(stepsIn(asked)).toEqual([100, 100, 120]);
  });

  test('a stuck step says why; taken out, the one before it comes next', async () => {
    const { state, answer } = withSteps('B', 'A');
    const { user, asked } = await openSite(
      <Room />,
      (one) => ((one.body as { takeOut?: boolean }).takeOut ? answer(one) : refuse('stuck', 100)),
      state,
    );
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    expect((await screen.findByRole('alertdialog')).textContent).toContain(
      'It is stuck. Taken out of the history',
    );
    await user.click(screen.getByRole('button', { name: 'Take it out' }));
    await screen.findByText('Next: A');
    expect(asked.at(-1)?.body).toEqual({ step: 100, takeOut: true });
  });

  test('Ctrl-Z on a tick is the site’s, and in words being typed the browser’s', async () => {
    const { state, answer } = withSteps('B', 'A');
    const { user, asked } = await openSite(<Room />, answer, state);
    await user.click(screen.getByRole('textbox', { name: 'Name' }));
    await user.keyboard('{Control>}z{/Control}');
    await user.click(screen.getByRole('checkbox'));
    await user.keyboard('{Control>}z{/Control}');
    await screen.findByText('Next: A');
    expect(stepsIn(asked)).toEqual([100]);
  });

  test('any other refusal is said and nothing is asked', async () => {
    const { state } = withSteps('A');
    const { user } = await openSite(<Room />, () => refuse('nothing-to-undo', 0), state);
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await screen.findByText('Next: A');
    expect(screen.queryByRole('alertdialog')).toBeNull();
  });
});
