/** @jest-environment ./build/document.jest.js */
import { describe, expect, test } from '@jest/globals';
import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fetched, useFetchAhead } from './fetched.tsx';

const Panel = ({ of }: { of: string }) => <p>The panel of {of}</p>;
/** Something to be fetched, and what lets it arrive or fail. */
function onItsWay() {
  const tries: { arrive: () => void; fail: () => void }[] = [];
  const load = () =>
    new Promise<typeof Panel>((resolve, reject) =>
      tries.push({ arrive: () => resolve(Panel), fail: () => reject(new Error('no line')) }),
    );
  return { tries, load };
}

describe('what is fetched when it is first drawn', () => {
  test('says so meanwhile, and is drawn once it is here', async () => {
    const { tries, load } = onItsWay();
    const Late = fetched(load);
    render(<Late of="words" />);
    expect(screen.getByRole('status', { name: 'Being fetched' })).toBeTruthy();
    await act(async () => tries[0]?.arrive());
    expect(screen.getByText('The panel of words')).toBeTruthy();
    expect(screen.queryByRole('status')).toBeNull();
  });

  test('something else may stand in its place, made from what it is given', () => {
    const Late = fetched(onItsWay().load, ({ of }) => <p>Only {of}</p>);
    render(<Late of="words" />);
    expect(screen.getByText('Only words')).toBeTruthy();
  });

  test('is fetched once, however often it is drawn, and then at once', async () => {
    const { tries, load } = onItsWay();
    const Late = fetched(load);
    const { unmount } = render(<Late of="words" />);
    await act(async () => tries[0]?.arrive());
    unmount();
    render(<Late of="pictures" />);
    expect(screen.getByText('The panel of pictures')).toBeTruthy();
    expect(tries).toHaveLength(1);
  });

  test('with the server away it says what happened, and is tried again', async () => {
    const { tries, load } = onItsWay();
    const Late = fetched(load);
    render(<Late of="words" />);
    await act(async () => tries[0]?.fail());
    expect(screen.getByRole('alert').textContent).toContain('the server cannot be reached');
    await userEvent.setup().click(screen.getByRole('button', { name: 'Try again' }));
    await act(async () => tries[1]?.arrive());
    expect(screen.getByText('The panel of words')).toBeTruthy();
  });

  test('is fetched ahead once the screen has stood for a moment, and drawn at once when it is wanted', async () => {
    const { tries, load } = onItsWay();
    const Late = fetched(load);
    function Board() {
      useFetchAhead();
      return <p>The board</p>;
    }
    render(<Board />);
    expect(tries).toHaveLength(0);
    await act(() => new Promise((resolve) => setTimeout(resolve, 400)));
    expect(tries).toHaveLength(1);
    await act(async () => tries[0]?.arrive());
    render(<Late of="words" />);
    expect(screen.getByText('The panel of words')).toBeTruthy();
  });
});
