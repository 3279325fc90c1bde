import { setWasmPaths } from '@tensorflow/tfjs-backend-wasm';
import * as detector from '@vladmandic/face-api/dist/face-api.node-wasm.js';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { SeenFace } from '#core/personal/faces-in.ts';
import { leastKept, mostFaces } from '#core/personal/faces-in.ts';
import { ready, setBackend, tensor3d } from './tensors.ts';

/** Where this program was built to, with what it has learned beside it. */
const folder = dirname(fileURLToPath(import.meta.url));

/** Three bytes a pixel: red, green, blue. */
export interface Pixels {
  data: Uint8Array;
  width: number;
  height: number;
}

const learned = (async () => {
  setWasmPaths(`${folder}/`);
  await setBackend('wasm');
  await ready();
  await detector.nets.ssdMobilenetv1.loadFromDisk(folder);
})();

const rounded = (share: number): number => Math.round(share * 10_000) / 10_000;

/** Where faces are in a picture, and how sure that is; whose they are is not asked. Runs in a thread of its own. */
export async function faces({ data, width, height }: Pixels): Promise<SeenFace[]> {
  await learned;
  const pixels = tensor3d(data, [height, width, 3], 'int32');
  try {
    const found = await detector.detectAllFaces(
      pixels as never,
      new detector.SsdMobilenetv1Options({ minConfidence: leastKept, maxResults: mostFaces }),
    );
    return found.map(({ score, box }) => {
      const x = Math.max(0, box.x / width);
      const y = Math.max(0, box.y / height);
      return {
        sure: rounded(score),
        size: rounded(Math.max(box.width, box.height) / Math.max(width, height)),
        ...{ x: rounded(x), y: rounded(y) },
        width: rounded(Math.min(1, (box.x + box.width) / width) - x),
        height: rounded(Math.min(1, (box.y + box.height) / height) - y),
      };
    });
  } finally {
    pixels.dispose();
  }
}
