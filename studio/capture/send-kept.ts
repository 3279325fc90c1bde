import { capturePlaces, sendCaptured } from '#contract/capture.ts';
import type { ImportReply } from '#contract/materials.ts';
import type { Id } from '#core/id.ts';
import { call, Refusal, refusalFrom } from '../api/call.ts';
import { changeKept, forgetKept, keptThings, type KeptThing, knowPlaces } from './kept-things.ts';

/** How it went: everything has arrived that can, there is no line, or nobody is signed in. */
export type Sending = 'done' | 'no-line' | 'signed-out';

/** Sends the file of a thing. What has arrived under the same account before is the same material, so twice does no harm. */
async function sendFile(site: Id, thing: KeptThing & { what: { kind: 'file' } }): Promise<Id> {
  const said = new URLSearchParams({ name: thing.what.name, madeOn: thing.local });
  const reply = await fetch(`/api/sites/${site}/materials?${said}`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: thing.what.file,
  }).catch(() => null);
  if (!reply) throw new Refusal(0, { code: 'unreachable', message: 'The line broke.' });
  const body: unknown = await reply.json().catch(() => null);
  if (!reply.ok) throw await refusalFrom(reply.status, body);
  return (body as ImportReply).material;
}

const isFile = (thing: KeptThing): thing is KeptThing & { what: { kind: 'file' } } =>
  thing.what.kind === 'file';

/** Sends one thing and forgets it here once it has arrived. */
async function sendOne(thing: KeptThing): Promise<void> {
  const { place } = thing;
  if (!place) return;
  let material = isFile(thing) ? thing.what.material : null;
  if (isFile(thing) && material === null) {
    material = await sendFile(place.site, thing);
    const arrived = material;
    await changeKept(thing.id, (now) =>
      isFile(now) ? { ...now, what: { ...now.what, material: arrived } } : now,
    );
  }
  await call(sendCaptured, {
    params: { site: place.site },
    body: {
      ...{ id: thing.id, capture: thing.capture, day: thing.local.slice(0, 10), page: place.page },
      what: thing.what.kind === 'words' ? thing.what : { kind: 'material', material: material ?? '' },
    },
  });
  await forgetKept(thing.id);
}

/** Sends what is kept, one thing after the other in the order it was kept, also what is kept meanwhile. */
async function sendAll(): Promise<Sending> {
  try {
    const { account, pages } = await call(capturePlaces);
    await knowPlaces({ account: account.id, pages });
    for (;;) {
      // Read anew each time: one may have been given another page meanwhile, or been taken off.
      const next = (await keptThings()).find(
        (one) => one.account === account.id && one.trouble === null && one.place !== null,
      );
      if (!next) return 'done';
      try {
        await sendOne(next);
      } catch (error) {
        if (!(error instanceof Refusal) || error.passing) throw error;
        await changeKept(next.id, (now) => ({ ...now, trouble: error.message }));
      }
    }
  } catch (error) {
    if (error instanceof Refusal) return error.status === 401 ? 'signed-out' : 'no-line';
    throw error;
  }
}

/**
 * Sends what is kept on this device. Of all tabs and the worker behind them one sends at a time; a second one waits for it, and finds
 * nothing left.
 */
export const sendKept = (): Promise<Sending> =>
  'locks' in navigator ? navigator.locks.request('kite-wall capture', sendAll) : sendAll();
