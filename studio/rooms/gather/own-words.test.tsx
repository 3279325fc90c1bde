/** @jest-environment ./build/document.jest.js */
import { expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { emptyDocument } from '#core/materials/document.ts';
import { sampleSound } from '#core/materials/sample-sound.ts';
import { openSite } from '../../testing/open-site.tsx';
import { OwnWords } from './own-words.tsx';

// Which kind it is of is asked where it is shown; only the file is fetched here.
const notes = sampleSound('notes-001', {});

test('a document that does not come is said to be on its way, then not to have come, and can be asked for again', async () => {
  let status = 500;
  const { user, asked } = await openSite(<OwnWords material={notes} />, () =>
    status === 500
      ? { status, body: { code: 'fault', message: 'The server could not do this.' } }
      : {
          body: {
            ...emptyDocument,
            pieces: [
              {
                type: 'words',
                blocks: [{ type: 'paragraph', content: [{ type: 'text', text: 'First point.' }] }],
              },
            ],
          },
        },
  );
  const alert = await screen.findByRole('alert');
  expect(alert.textContent).toContain('The server could not do this.');
  status = 200;
  await user.click(screen.getByRole('button', { name: 'Fetch it again' }));
  await screen.findByText('First point.');
  expect(screen.queryByRole('alert')).toBeNull();
  expect(asked.map(({ path }) => path)).toEqual([
    ...[
      '/api/sites/site-0001/materials/notes-001/document',
      '/api/sites/site-0001/materials/notes-001/document',
    ],
  ]);
});
