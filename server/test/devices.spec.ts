import { connect, createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import type { Devices, Settings } from '@aurantia/core';
import { running, type Running } from './memory';

let server: Running;
beforeEach(async () => (server = await running()));
afterEach(() => server.stop());

const place = async (devices: Settings['devices']) => {
  const { body } = await server.ask('GET', '/api/workshop');
  const { document, revision } = body as { document: Settings; revision: number };
  const { status } = await server.ask('PUT', '/api/workshop', { parent: revision, document: { ...document, devices } });
  expect(status).toBe(200);
};
const now = async (): Promise<Devices> => (await server.ask('GET', '/api/devices')).body;
/** Waits until devices say what is wanted. */
const until = (wanted: (devices: Devices) => boolean): Promise<Devices> =>
  new Promise((resolve) => {
    const end = server.devices.listen((devices) => {
      if (!wanted(devices)) return;
      end();
      resolve(devices);
    });
  });
const weighs = (from: number, to: number) => (devices: Devices) => {
  const { says } = devices.scale;
  return says?.says === 'weight' && says.steady && says.grams >= from && says.grams <= to;
};
const hand = (command: string) => server.ask('POST', '/api/devices/simulated', { device: 'scale', command });

test('without devices there are none, and nothing is looked for', async () => {
  expect(await now()).toEqual({
    scale: { reach: 'none', simulated: false, says: null },
    room: { reach: 'none', simulated: false, says: null },
    turner: { reach: 'none', simulated: false, says: null },
  });
  expect((await server.ask('POST', '/api/devices/tare', {})).body).toMatchObject({ status: 409, title: 'No scale' });
  expect((await hand('put 5')).status).toBe(409);
});

test('a simulated scale settles on what lies on it, is tared, shows less than nothing, overloads, and comes back once it is pulled out', async () => {
  await place({ scale: 'simulated' });
  await until(weighs(-0.1, 0.1));
  await Promise.all([until(weighs(18, 18.4)), hand('put 18.2')]);
  await Promise.all([until(weighs(-0.1, 0.1)), server.ask('POST', '/api/devices/tare', {})]);
  await Promise.all([until(weighs(-18.4, -18)), hand('clear')]);
  await Promise.all([until(({ scale }) => scale.says?.says === 'overload'), hand('put 900')]);
  await Promise.all([until(({ scale }) => scale.reach === 'lost'), hand('pull out')]);
  expect((await now()).scale).toEqual({ reach: 'lost', simulated: true, says: null });
  await until(({ scale }) => scale.reach === 'here');
  expect((await hand('fly')).status).toBe(409);
  expect((await server.ask('POST', '/api/devices/simulated', { device: 'scale', command: 'put 1\nput 2' })).status).toBe(422);
});

test('a pour fills up as it flows, and isn’t steady before it ends', async () => {
  await place({ scale: 'simulated' });
  await until(weighs(-0.1, 0.1));
  const moving = until(({ scale: { says } }) => says?.says === 'weight' && !says.steady && says.grams > 2);
  await hand('flow 20');
  await moving;
  const still = until(({ scale: { says } }) => says?.says === 'weight' && says.steady && says.grams > 2);
  await hand('flow 0');
  await still;
});

describe('a device on a port', () => {
  let device: Server;
  const sockets = new Set<Socket>();
  const heard: string[] = [];
  const port = () => (device.address() as AddressInfo).port;
  beforeEach(async () => {
    heard.length = 0;
    device = createServer((socket) => {
      sockets.add(socket);
      socket.on('error', () => socket.destroy());
      socket.on('data', (data) => heard.push(String(data)));
    });
    await new Promise<void>((resolve) => device.listen(0, '127.0.0.1', resolve));
  });
  afterEach(() => {
    for (const socket of sockets) socket.destroy();
    sockets.clear();
    device.close();
  });
  const say = async (line: string) => {
    while (sockets.size === 0) await new Promise<void>((resolve) => device.once('connection', () => resolve()));
    for (const socket of sockets) socket.write(`${line}\n`);
  };

  test('is read line by line, chatter is passed over, and its tare is sent', async () => {
    await place({ scale: port() });
    const here = until(weighs(12, 12.1));
    await say('SELF TEST OK\nweight twelve g steady\nweight 12.04 g steady');
    await here;
    expect((await server.ask('POST', '/api/devices/tare', {})).status).toBe(200);
    while (!heard.includes('tare\n')) await new Promise<void>((resolve) => [...sockets][0].once('data', () => resolve()));
    await place({});
    expect((await now()).scale.reach).toBe('none');
  });

  test('one that isn’t there yet is looked for until it is, and its port can be any other program’s', async () => {
    const taken = port();
    device.close();
    for (const socket of sockets) socket.destroy();
    await place({ scale: taken });
    expect((await now()).scale).toEqual({ reach: 'looking', simulated: false, says: null });
    const refused = new Promise<void>((resolve) => {
      const probe = connect({ host: '127.0.0.1', port: taken }).once('error', () => {
        probe.destroy();
        resolve();
      });
    });
    await refused;
    expect((await now()).scale.reach).toBe('looking');
    const here = until(weighs(1, 2));
    await new Promise<void>((resolve) => device.listen(taken, '127.0.0.1', resolve));
    await say('HTTP/1.1 400 Bad Request\n\nweight 1.5 g steady');
    await here;
  });

  test('a room is written down as its sensor says it, and what no room has isn’t', async () => {
    await place({ room: port() });
    const here = until(({ room }) => room.says?.says === 'room');
    await say('room 19.4 C 55 %');
    await here;
    const none = until(({ room }) => room.says?.says === 'nothing');
    await say('room 850.0 C 55 %');
    await none;
    await expect(server.store.selectFrom('room').select(['celsius', 'humidity']).execute()).resolves.toEqual([
      { celsius: 19.4, humidity: 55 },
    ]);
  });
});

test('a turner comes up to its speed, and stalls when it is held', async () => {
  await place({ turner: 'simulated' });
  await until(({ turner: { says } }) => says?.says === 'turning' && says.rpm > 3);
  const stalled = until(({ turner }) => turner.says?.says === 'stalled');
  await server.ask('POST', '/api/devices/simulated', { device: 'turner', command: 'jam' });
  await stalled;
});
