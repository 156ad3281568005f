// The least a program can do that keeps what it is sent: takes a document over the wire, reads it, writes it to a file,
// syncs it and answers. Says its port once it listens; ends with whoever began it.
import { Buffer } from 'node:buffer';
import { closeSync, fsyncSync, openSync, writeSync } from 'node:fs';
import { createServer } from 'node:http';
import process from 'node:process';

const file = process.argv[2];
const server = createServer((request, reply) => {
  const parts = [];
  request.on('data', (part) => parts.push(part));
  request.on('end', () => {
    const { parent, document } = JSON.parse(Buffer.concat(parts).toString());
    const handle = openSync(file, 'w');
    writeSync(handle, JSON.stringify(document));
    fsyncSync(handle);
    closeSync(handle);
    reply.setHeader('content-type', 'application/json').end(JSON.stringify({ document, revision: parent + 1 }));
  });
});
server.listen(0, '127.0.0.1', () => process.send?.(server.address().port));
process.on('disconnect', () => process.exit());
