import { inflateRawSync } from 'node:zlib';

/**
 * The files of a ZIP, found by its central directory as the format describes it, with nothing but zlib: an oracle for
 * what another program would find in it.
 */
export function unzipped(bytes: Buffer): Map<string, Buffer> {
  const end = bytes.lastIndexOf(Buffer.from([0x50, 0x4b, 5, 6]));
  if (end < 0) throw new Error('There is no end of a central directory.');
  const files = new Map<string, Buffer>();
  let at = bytes.readUInt32LE(end + 16);
  for (let left = bytes.readUInt16LE(end + 10); left > 0; left--) {
    if (bytes.readUInt32LE(at) !== 0x02014b50) throw new Error(`There is no directory entry at ${at}.`);
    const [method, size, nameLength] = [
      bytes.readUInt16LE(at + 10),
      bytes.readUInt32LE(at + 20),
      bytes.readUInt16LE(at + 28),
    ];
    const [extra, comment, local] = [
      bytes.readUInt16LE(at + 30),
      bytes.readUInt16LE(at + 32),
      bytes.readUInt32LE(at + 42),
    ];
    const name = bytes.toString('utf8', at + 46, at + 46 + nameLength);
    const from = local + 30 + bytes.readUInt16LE(local + 26) + bytes.readUInt16LE(local + 28);
    const body = bytes.subarray(from, from + size);
    files.set(name, method === 8 ? inflateRawSync(body) : body);
    at += 46 + nameLength + extra + comment;
  }
  return files;
}
