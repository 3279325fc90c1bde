/** @jest-environment ./build/document.jest.js */
import { describe, expect, test } from '@jest/globals';
import { act, render, screen, waitFor } from '@testing-library/react';
import { useLayoutEffect } from 'react';
import { createRoot } from 'react-dom/client';
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

  test('is drawn too where it arrives just after it was first drawn without it', async () => {
    const { tries, load } = onItsWay();
    const Late = fetched(load);
    const ahead = Late.fetch();
    function Arrives() {
      useLayoutEffect(() => tries[0]?.arrive(), []);
      return null;
    }
    // Outside of act, as in the browser: there effects run in a later task than what was drawn.
    const acting = globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean };
    acting.IS_REACT_ACT_ENVIRONMENT = false;
    const place = document.body.appendChild(document.createElement('div'));
    const root = createRoot(place);
    root.render(
      <>
        <Late of="words" />
        <Arrives />
      </>,
    );
    await ahead;
    await waitFor(() => expect(place.textContent).toBe('The panel of words'));
    root.unmount();
    place.remove();
    acting.IS_REACT_ACT_ENVIRONMENT = true;
  });
});
