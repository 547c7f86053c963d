// @ts-check
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import { freePort } from './cluster.mjs';

const TRIES = 50;

/**
 * nginx before some servers, as in deploy/nginx.conf but for TLS; undefined where it is not installed.
 * @param {string} folder
 * @param {readonly string[]} urls
 */
export async function startProxy(folder, urls) {
  if (spawnSync('nginx', ['-v'], { stdio: 'ignore' }).status !== 0) return undefined;
  const home = `${folder}/proxy`;
  mkdirSync(home, { recursive: true });
  const port = await freePort(0);
  const servers = urls.map((url) => `server ${new URL(url).host} max_fails=1 fail_timeout=2s;`).join(' ');
  writeFileSync(
    `${home}/nginx.conf`,
    `daemon off; pid ${home}/pid; error_log ${home}/error.log;
${process.getuid?.() === 0 ? 'user root;' : ''}
events { worker_connections 1024; }
http {
  access_log off;
  client_body_temp_path ${home}/body; proxy_temp_path ${home}/temp;
  fastcgi_temp_path ${home}/f; uwsgi_temp_path ${home}/u; scgi_temp_path ${home}/s;
  upstream house { least_conn; ${servers} keepalive 32; }
  server {
    listen 127.0.0.1:${port};
    client_max_body_size 33m;
    location / {
      proxy_pass http://house; proxy_http_version 1.1; proxy_set_header Connection "";
      proxy_set_header Host $host; proxy_set_header X-Forwarded-For $remote_addr; proxy_set_header X-Forwarded-Proto $scheme;
      proxy_set_header X-Request-Id $request_id;
      proxy_next_upstream error timeout http_503 non_idempotent; proxy_next_upstream_tries 2; proxy_next_upstream_timeout 5s; proxy_read_timeout 70s;
    }
  }
}
`,
  );
  const child = spawn('nginx', ['-c', `${home}/nginx.conf`, '-p', home, '-e', `${home}/error.log`], { stdio: 'ignore' });
  const url = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < TRIES; tries += 1) {
    if (
      await fetch(`${url}/healthz`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      break;
    await sleep(100);
  }
  const gone = new Promise((resolve) => child.once('exit', resolve));
  return {
    url,
    stop: async () => {
      child.kill('SIGTERM');
      await gone;
    },
  };
}
