import { crc32, deflateSync } from 'node:zlib';

/** A PNG of stripes of plain colours, 40 pixels wide each, as a photo for tests. */
export function stripedPng(stripes: readonly (readonly [number, number, number])[]): Buffer {
  const [width, height] = [stripes.length * 40, 60];
  const row = Buffer.concat([
    Buffer.from([0]),
    ...stripes.map((rgb) => Buffer.from(Array.from({ length: 40 }, () => rgb).flat())),
  ]);
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header.set([8, 2, 0, 0, 0], 8);
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
    const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    sum.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, sum]);
  };
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', header),
    chunk('IDAT', deflateSync(Buffer.concat(Array.from({ length: height }, () => row)))),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}
