/** A part of an e-mail: its headers, in small letters, and its content. */
export interface EmailPart {
  headers: Map<string, string>;
  content: Buffer;
  parts: EmailPart[];
}

const decodedWord = (text: string): string =>
  text
    .replace(/\?=\s+=\?/g, '?==?')
    .replace(/=\?utf-8\?([BQ])\?([^?]*)\?=/gi, (_, kind: string, word: string) =>
      kind.toUpperCase() === 'B'
        ? Buffer.from(word, 'base64').toString('utf8')
        : quoted(word.replaceAll('_', ' ')).toString('utf8'),
    );
const quoted = (text: string): Buffer =>
  Buffer.from(
    text
      .replace(/=\r\n/g, '')
      .replace(/=([0-9A-F]{2})/gi, (_, hex: string) => String.fromCharCode(Number.parseInt(hex, 16))),
    'latin1',
  );

/**
 * Reads an e-mail file as RFC 5322 and 2045 to 2047 describe it, strictly: lines end in CR LF and are not too long, headers
 * are plain ASCII, every part ends where its boundary says. Throws where that is not so.
 */
export function readEmail(text: string): EmailPart {
  if (/[^\r]\n|\r[^\n]/.test(text)) throw new Error('A line does not end in CR LF.');
  const long = text.split('\r\n').find((line) => Buffer.byteLength(line) > 998);
  if (long !== undefined) throw new Error(`A line is too long: ${long.slice(0, 60)}…`);
  return readPart(text);
}

function readPart(text: string): EmailPart {
  const end = text.indexOf('\r\n\r\n');
  if (end < 0) throw new Error('The headers do not end.');
  const headers = new Map<string, string>();
  for (const line of text
    .slice(0, end)
    .replace(/\r\n[ \t]+/g, ' ')
    .split('\r\n')) {
    const [, name, value] = /^([\x21-\x39\x3B-\x7E]+):\s*([\x20-\x7E]*)$/.exec(line) ?? [];
    if (name === undefined || value === undefined) throw new Error(`This is no header: ${line}`);
    headers.set(name.toLowerCase(), decodedWord(value));
  }
  const body = text.slice(end + 4);
  const [, boundary] = /boundary="([^"]+)"/.exec(headers.get('content-type') ?? '') ?? [];
  if (boundary === undefined) {
    const encoding = headers.get('content-transfer-encoding')?.toLowerCase() ?? '7bit';
    if (encoding === 'base64') return { headers, content: Buffer.from(body, 'base64'), parts: [] };
    if (encoding === 'quoted-printable') return { headers, content: quoted(body), parts: [] };
    return { headers, content: Buffer.from(body, 'utf8'), parts: [] };
  }
  const pieces = `\r\n${body}`.split(`\r\n--${boundary}`);
  if (!pieces.at(-1)?.startsWith('--')) throw new Error('The last part does not end.');
  return { headers, content: Buffer.alloc(0), parts: pieces.slice(1, -1).map((piece) => readPart(piece.slice(2))) };
}
