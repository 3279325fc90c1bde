import { join } from 'node:path';
import esbuild from 'esbuild';

const root = join(import.meta.dirname, '..');
const dist = join(root, 'dist');

/** Bundles a program for Node; packages stay outside, our own code goes in. */
export const program = (entry: string, name: string) =>
  esbuild.build({
    absWorkingDir: root,
    entryPoints: { [name]: entry },
    outdir: dist,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    jsx: 'automatic',
    sourcemap: true,
    logLevel: 'warning',
  });
