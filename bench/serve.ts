import { spawn, spawnSync } from 'node:child_process';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BuiltServer } from '../e2e/support/demo-server.ts';
import { median, type Row } from './table.ts';

const seconds = 4;
const rounds = 5;

/** Requests a second that wrk gets from an address, with the gzip form as a browser asks for it. */
function load(url: string): number {
  const { stdout } = spawnSync('wrk', ['-t1', '-c32', `-d${seconds}s`, '-H', 'Accept-Encoding: gzip', url], {
    encoding: 'utf8',
  });
  const found = /Requests\/sec:\s+([\d.]+)/.exec(stdout);
  if (!found || /Non-2xx/.test(stdout)) throw new Error(`wrk did not measure ${url}:\n${stdout}`);
  return Number(found[1]);
}

/**
 * A published page from our server against the same bytes from nginx, both with the compressed form made
 * beforehand, on loopback, in turns, each with as many processes as it starts by itself on this machine.
 */
export async function benchServe(): Promise<Row> {
  const ours = await BuiltServer.start('demo');
  const page = `${ours.origin}/wren-makes/for-the-harbour/tide-clock/`;
  const folder = await mkdtemp(join(tmpdir(), 'kite-wall-nginx-'));
  const port = 24_000 + Math.floor(Math.random() * 20_000);
  const html = await (await fetch(page, { headers: { 'accept-encoding': 'identity' } })).text();
  await writeFile(join(folder, 'index.html'), html);
  const gz = await fetchRaw(page);
  await writeFile(join(folder, 'index.html.gz'), gz);
  await writeFile(
    join(folder, 'nginx.conf'),
    `daemon off; worker_processes auto; pid ${folder}/pid; error_log ${folder}/error.log crit; user root;
events { worker_connections 512; }
http { access_log off; types { text/html html; } sendfile on; tcp_nopush on; keepalive_requests 1000000;
  open_file_cache max=100; client_body_temp_path ${folder}/b; proxy_temp_path ${folder}/p; fastcgi_temp_path ${folder}/f;
  uwsgi_temp_path ${folder}/u; scgi_temp_path ${folder}/s;
  server { listen 127.0.0.1:${port}; root ${folder}; gzip_static on; } }`,
  );
  const nginx = spawn('nginx', ['-c', join(folder, 'nginx.conf'), '-p', folder], { stdio: 'inherit' });
  await new Promise((resolve) => setTimeout(resolve, 800));
  const nginxUrl = `http://127.0.0.1:${port}/index.html`;
  const rates = { ours: [] as number[], nginx: [] as number[] };
  // Readers learn the page and both warm up before anything counts.
  for (const url of [page, nginxUrl, page]) load(url);
  for (let round = 0; round < rounds; round++) {
    rates.nginx.push(load(nginxUrl));
    rates.ours.push(load(page));
  }
  nginx.kill('SIGQUIT');
  await ours.stop();
  await rm(folder, { recursive: true, force: true });
  const ratio = median(rates.ours) / median(rates.nginx);
  return {
    what: 'requests a second of a published page',
    ours: `${Math.round(median(rates.ours))} a second`,
    against: 'nginx serving the same bytes',
    other: `${Math.round(median(rates.nginx))} a second`,
    ratio,
    wanted: 'at least 0.5 times',
    reached: ratio >= 0.5,
  };
}

/** The gzipped bytes as they are on the line; fetch would unpack them. */
async function fetchRaw(url: string): Promise<Buffer> {
  const { request } = await import('node:http');
  return new Promise((resolve, reject) => {
    request(url, { headers: { 'accept-encoding': 'gzip' } }, (reply) => {
      const chunks: Buffer[] = [];
      reply.on('data', (chunk: Buffer) => chunks.push(chunk));
      reply.on('end', () => resolve(Buffer.concat(chunks)));
    })
      .on('error', reject)
      .end();
  });
}
