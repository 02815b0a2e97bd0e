import { createServer, type Socket } from 'node:net';
import type { AddressInfo } from 'node:net';

/** A letter that a mail server has taken. */
interface Taken {
  from: string;
  to: string[];
  /** As it came, without the dots that SMTP adds. */
  email: string;
}

/**
 * A mail server as strict as a real one (RFC 5321): commands come in their order, lines end in CR LF, and what is not
 * understood is refused. `refuse` says what it does not take; with `dies` it goes away after so many commands.
 */
export async function fakeSmtp({ refuse = () => '' as string, dies = Infinity } = {}) {
  const taken: Taken[] = [];
  const sockets = new Set<Socket>();
  const server = createServer((socket) => {
    sockets.add(socket);
    let [rest, from, email, inData, greeted, commands] = ['', '', '', false, false, 0];
    let to: string[] = [];
    const say = (line: string): void => void socket.write(`${line}\r\n`);
    const command = (line: string): void => {
      if (++commands > dies) {
        socket.destroy();
        return;
      }
      const [, mail] = /^MAIL FROM:<([^<>\s]+)>/i.exec(line) ?? [];
      const [, rcpt] = /^RCPT TO:<([^<>\s]+@[^<>\s]+)>/i.exec(line) ?? [];
      if (/^(?:EHLO|HELO) \S+$/i.test(line)) {
        greeted = true;
        say('250 fake.example');
      } else if (!greeted) say('503 Say hello first');
      else if (mail !== undefined) {
        [from, to] = [mail, []];
        say('250 ok');
      } else if (rcpt !== undefined && from !== '') {
        const reason = refuse();
        if (reason !== '') say(`550 ${reason}`);
        else {
          to.push(rcpt);
          say('250 ok');
        }
      } else if (/^DATA$/i.test(line) && to.length > 0) {
        inData = true;
        say('354 go on');
      } else if (/^(?:RSET|NOOP)$/i.test(line)) say('250 ok');
      else if (/^QUIT$/i.test(line)) {
        say('221 bye');
        socket.end();
      } else say(`500 “${line}” is not understood here`);
    };
    socket.setEncoding('utf8');
    socket.on('error', () => undefined);
    socket.on('data', (chunk: string) => {
      rest += chunk;
      for (let end = rest.indexOf('\r\n'); end >= 0; end = rest.indexOf('\r\n')) {
        const line = rest.slice(0, end);
        rest = rest.slice(end + 2);
        if (!inData) command(line);
        else if (line === '.') {
          inData = false;
          taken.push({ from, to, email });
          email = '';
          say('250 taken');
        } else email += `${line.startsWith('.') ? line.slice(1) : line}\r\n`;
      }
    });
    say('220 fake.example');
  });
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  return {
    address: `smtp://127.0.0.1:${(server.address() as AddressInfo).port}`,
    taken,
    async close(): Promise<void> {
      for (const socket of sockets) socket.destroy();
      await new Promise((done) => server.close(done));
    },
  };
}
