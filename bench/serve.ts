import { spawn } from 'node:child_process';

/** The built server as a process of its own, on a database file; resolves when it answers. Needs a build in dist/. */
export async function serve(port: number, database: string): Promise<{ url: string; stop: () => void }> {
  const server = spawn('node', ['dist/server/main.js', '--demo'], {
    env: { ...process.env, PORT: String(port), ZOVRIN_DATABASE: database },
    stdio: 'pipe',
  });
  await new Promise<void>((ready, failed) => {
    server.stdout.on('data', (text: Buffer) => text.includes('Zovrin is at') && ready());
    server.once('exit', (code) => failed(new Error(`The server ended with ${code}; is there a build?`)));
  });
  return { url: `http://127.0.0.1:${port}`, stop: () => void server.kill() };
}
