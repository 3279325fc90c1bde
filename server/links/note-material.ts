import { shortened } from '#core/words/shortened.ts';
import type { Commands } from '../commands/commands.ts';
import type { BlobStore } from '../media/blob-store.ts';
import type { Imported } from '../media/import-material.ts';
import { newMaterial } from '../media/new-material.ts';

/** Gathers a note. Its first line names it; the words it was first written with are its original. */
export async function addNote(
  { blobs, commands }: { blobs: BlobStore; commands: Commands },
  scope: { site: string; account: string },
  text: string,
  writtenOn: string,
): Promise<Imported> {
  const bytes = Buffer.from(text);
  const [first = ''] = text.trim().split('\n');
  const note = newMaterial(
    {
      original: await blobs.put(bytes),
      fileName: '',
      bytes: bytes.byteLength,
      title: shortened(first.trim(), 80),
      transcript: text,
      takenOn: writtenOn,
    },
    { kind: 'note', facts: { format: 'note' } },
  );
  const result = await commands.run(scope, { label: 'Add a note' }, (running) =>
    running.insert('material', note),
  );
  return { result, material: note.id, duplicate: false };
}
