import esbuild from 'esbuild';
import { copyFile, mkdir } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const root = join(import.meta.dirname, '..');
const { resolve } = createRequire(import.meta.url);

/** What is in the program was written for modules that have these. */
const asCommonJs = `
import { createRequire as requiring } from 'node:module';
const require = requiring(import.meta.url);
const __filename = process.getBuiltinModule('node:url').fileURLToPath(import.meta.url);
const __dirname = process.getBuiltinModule('node:path').dirname(__filename);
`;

/**
 * Builds the program that finds faces, with what it has learned and what it computes with beside it. Unlike our other programs it has
 * its packages in it: its detector asks for all of TensorFlow.js, 250 MB of which it needs the core.
 */
export async function buildFaces(to: string): Promise<void> {
  await mkdir(to, { recursive: true });
  const learned = join(dirname(resolve('@vladmandic/face-api/package.json')), 'model');
  const computing = join(dirname(resolve('@tensorflow/tfjs-backend-wasm/package.json')), 'wasm-out');
  await Promise.all([
    ...['ssd_mobilenetv1_model-weights_manifest.json', 'ssd_mobilenetv1_model.bin'].map((name) =>
      copyFile(join(learned, name), join(to, name)),
    ),
    ...['tfjs-backend-wasm.wasm', 'tfjs-backend-wasm-simd.wasm'].map((name) =>
      copyFile(join(computing, name), join(to, name)),
    ),
    esbuild.build({
      ...{ absWorkingDir: root, entryPoints: ['server/faces/faces-worker.ts'], outdir: to },
      ...{ bundle: true, platform: 'node', format: 'esm', target: 'node20', mainFields: ['module', 'main'] },
      alias: { '@tensorflow/tfjs': join(root, 'server/faces/tensors.ts') },
      banner: { js: asCommonJs },
      ...{ sourcemap: false, logLevel: 'warning', minifyWhitespace: true },
    }),
  ]);
}
