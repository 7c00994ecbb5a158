import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../free-port';

/** A server of a test's own, with data in a directory that goes with it. */
export interface OwnServer {
  readonly url: string;
  /** All that it has printed until now. */
  readonly printed: () => string;
  readonly stop: () => Promise<void>;
}

export const startOwnServer = async (
  variables: Readonly<Record<string, string>> = {},
  of: 'demo' | 'empty' = 'empty',
): Promise<OwnServer> => {
  const [port, data] = [await freePort(), mkdtempSync(join(tmpdir(), 'bathron-own-'))];
  const child: ChildProcess = spawn(process.execPath, ['scripts/demo.mjs', ...(of === 'empty' ? ['--empty'] : [])], {
    env: { ...process.env, PORT: String(port), BATHRON_DATA: data, LOG_LEVEL: 'warn', ...variables },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let text = '';
  for (const stream of [child.stdout, child.stderr])
    stream?.on('data', (part: Buffer) => {
      text += part.toString();
    });
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  const url = `http://127.0.0.1:${String(port)}`;
  for (let tries = 0; tries < 600 && child.exitCode === null; tries += 1) {
    const answers = await fetch(`${url}/health`, { signal: AbortSignal.timeout(5000) }).then(
      (response) => response.ok,
      () => false,
    );
    if (answers) break;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  return {
    url,
    printed: () => text,
    stop: async () => {
      child.kill('SIGTERM');
      await ended;
      rmSync(data, { recursive: true, force: true });
    },
  };
};
