import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { pathToFileURL } from 'node:url';

interface Served {
  url: string;
  stop: () => void;
  /** How long its event loop was held at most since this was last asked, in milliseconds. */
  heldMs: () => Promise<number>;
}

/**
 * The built server as a process of its own, on a database file; resolves when it answers. Needs a build in dist/.
 * @param demo whether an empty database gets the demo data
 */
export async function serve(port: number, database: string, demo = true): Promise<Served> {
  const monitor = pathToFileURL('bench/loop-delay.mjs').href;
  const server = spawn('node', ['--import', monitor, 'dist/server/main.js', ...(demo ? ['--demo'] : [])], {
    env: { ...process.env, PORT: String(port), ZOVRIN_DATABASE: database },
    stdio: ['pipe', 'pipe', 'pipe', 'ipc'],
  });
  await new Promise<void>((ready, failed) => {
    server.stdout?.on('data', (text: Buffer) => text.includes('Zovrin is at') && ready());
    server.once('exit', (code) => failed(new Error(`The server ended with ${code}; is there a build?`)));
  });
  return {
    url: `http://127.0.0.1:${port}`,
    stop: () => void server.kill(),
    async heldMs() {
      const answered = once(server, 'message');
      server.send('how long');
      const [{ heldMs }] = (await answered) as [{ heldMs: number }];
      return heldMs;
    },
  };
}
