/**
 * What the detector of faces computes with: the core of TensorFlow.js with the operations written as methods, and nothing of what it is
 * bundled with elsewhere. Stands in for the package `@tensorflow/tfjs` where the detector's program is built.
 */
import '@tensorflow/tfjs-core/dist/public/chained_ops/register_all_chained_ops.js';

export * from '@tensorflow/tfjs-core';
