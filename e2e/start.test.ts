import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BuiltServer } from './support/demo-server.ts';

const root = join(import.meta.dirname, '..');
let server: BuiltServer;
beforeAll(async () => {
  server = await BuiltServer.start('server');
});
afterAll(() => server.stop());

/** Starts the built server and gives what it says when it cannot. */
function tryToStart(environment: Record<string, string>) {
  return spawnSync(process.execPath, ['dist/server.js'], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: '', ...environment },
    encoding: 'utf8',
    timeout: 120_000,
  });
}

describe('starting', () => {
  test('a second process on the same data folder is refused in a sentence', () => {
    const { status, stderr } = tryToStart({ DATA_DIR: server.folder, PORT: '0' });
    expect(status).toBe(1);
    expect(stderr).toContain('Another Kite Wall is using the data folder');
    expect(stderr.trim().split('\n').length).toBe(1);
  });

  test('a taken port is named in a sentence', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'kite-wall-port-'));
    const port = new URL(server.origin).port;
    const { status, stderr } = tryToStart({ DATA_DIR: folder, PORT: port });
    expect(status).toBe(1);
    expect(stderr).toContain(`Port ${port} is taken by another program`);
    expect(stderr.trim().split('\n').length).toBe(1);
  });
});
