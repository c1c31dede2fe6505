import { spawn, spawnSync } from 'node:child_process';
import { createServer } from 'node:net';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..');
export const BIN = resolve(ROOT, 'node_modules', '.bin');

/** Runs a command to its end with its output shown; throws when it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  if (error) throw error;
  if (status !== 0) throw new Error(`${command} ${args.join(' ')} ended with ${status}.`);
}

/** Runs a command quietly; its output and exit code. */
export function ask(command, args, options = {}) {
  const { status, stdout, stderr, error } = spawnSync(command, args, { cwd: ROOT, encoding: 'utf8', ...options });
  return { status: error ? -1 : status, stdout: stdout ?? '', stderr: stderr ?? String(error ?? '') };
}

/** Like `ask`, while other things go on: resolves at the command's end with its exit code and all it said. */
export function listen(command, args, options = {}) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'], ...options });
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.setEncoding('utf8').on('data', (chunk) => (output += chunk));
    child.once('error', (error) => done({ status: -1, output: output + String(error) }));
    child.once('close', (code) => done({ status: code ?? 1, output }));
  });
}

/** Starts a command that goes on in the background of this one. */
export function start(command, args, options = {}) {
  return spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
}

/** A free port on loopback. */
export function freePort() {
  return new Promise((done, fail) => {
    const server = createServer();
    server.once('error', fail);
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => done(port));
    });
  });
}

/** True when nothing listens on a port of loopback. */
export function isFree(port) {
  return new Promise((done) => {
    const server = createServer();
    server.once('error', () => done(false));
    server.listen(port, '127.0.0.1', () => server.close(() => done(true)));
  });
}

/** Resolves when a child ends, with its exit code. */
export function ended(child) {
  return new Promise((done) => child.once('exit', (code, signal) => done(code ?? (signal ? 1 : 0))));
}
