import { importReplySchema, type ImportReply } from '#contract/materials.ts';
import { type Patch, patchSchema } from '#contract/patch.ts';
import { Refusal, refusalFrom } from './call.ts';

/** A file to be sent. */
export interface Outgoing {
  file: File;
  madeOn: string | null;
}

/** Puts a file in the place of a material's own. */
export async function replaceFile(site: string, material: string, file: File): Promise<Patch> {
  const reply = await fetch(
    `/api/sites/${site}/materials/${material}/file?name=${encodeURIComponent(file.name)}`,
    { method: 'POST', headers: { 'content-type': 'application/octet-stream' }, body: file },
  ).catch(() => null);
  if (!reply)
    throw new Refusal(0, {
      code: 'unreachable',
      message: 'The line broke before the whole file had arrived. The old file is still there; try again.',
    });
  const body: unknown = await reply.json().catch(() => null);
  if (!reply.ok) throw await refusalFrom(reply.status, body);
  return patchSchema.parse(body);
}

/**
 * Sends one file and reports how much of it has arrived. XMLHttpRequest, since fetch cannot tell the progress of
 * an upload.
 *
 * @param madeOn the day it was made, for a file whose own bytes cannot say; null where only the file knows
 * @param upload names it, so that it can be stopped
 * @throws Refusal; the signal's AbortError when it was cancelled
 */
export function uploadFile(
  site: string,
  { file, madeOn }: Outgoing,
  onProgress: (share: number) => void,
  signal: AbortSignal,
  upload: string,
): Promise<ImportReply> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    const said = new URLSearchParams({ name: file.name, upload, ...(madeOn === null ? {} : { madeOn }) });
    request.open('POST', `/api/sites/${site}/materials?${said}`);
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.responseType = 'json';
    request.upload.onprogress = (event) => onProgress(event.total > 0 ? event.loaded / event.total : 1);
    request.onload = () => {
      if (request.status === 200) resolve(importReplySchema.parse(request.response));
      else void refusalFrom(request.status, request.response).then(reject);
    };
    request.onerror = () =>
      reject(
        new Refusal(0, {
          code: 'unreachable',
          message: 'The line broke before the whole file had arrived. Nothing was stored; try again.',
        }),
      );
    request.onabort = () => reject(signal.reason as Error);
    signal.addEventListener('abort', () => request.abort(), { once: true });
    request.send(file);
  });
}
