import { createServer, type IncomingMessage, type Server } from 'node:http';
import type { Socket } from 'node:net';
import { networkInterfaces } from 'node:os';
import type { FastifyInstance } from 'fastify';

/** How many lines strangers may hold open at once; this computer's own are counted apart. */
const MOST_LINES = 64;
export const USUAL_SHARE_PORT = 4311;

/** Addresses of this computer on its networks, IPv4: those that can be typed. */
export const networkAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((addresses) => addresses ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);

/** A second listener, for devices on the same network: what comes through it is known as such for good. */
export class Outside {
  private server: Server | null = null;
  private hosts: readonly string[] = [];
  private readonly through = new WeakSet<IncomingMessage>();
  /** lines that a device let in has open */
  private readonly lines = new Map<string, Set<Socket>>();

  /** @param patience ms a request may take to arrive */
  constructor(private readonly patience: number) {}

  /** Whether this request came over the network's listener. */
  came(request: IncomingMessage): boolean {
    return this.through.has(request);
  }

  /** Names by which a device may call this computer, with the port. */
  get names(): readonly string[] {
    return this.hosts;
  }

  /**
   * @param at the one address to listen at; null for all of this computer's
   * @throws when there is no network, or the port isn't free and no other is either
   */
  async open(app: FastifyInstance, at: string | null, port: number): Promise<void> {
    if (this.server) return;
    const addresses = at === null ? networkAddresses() : [at];
    if (addresses.length === 0) throw new NoNetwork();
    const server = createServer(
      {
        requestTimeout: this.patience,
        headersTimeout: this.patience,
        connectionsCheckingInterval: Math.min(5000, this.patience),
      },
      (request, reply) => {
        this.through.add(request);
        app.routing(request, reply);
      },
    );
    server.maxConnections = MOST_LINES;
    await listen(server, at ?? '0.0.0.0', port).catch((error: unknown) => {
      if (port === 0) throw error;
      return listen(server, at ?? '0.0.0.0', 0);
    });
    const address = server.address();
    const listens = typeof address === 'object' && address ? address.port : port;
    this.server = server;
    this.hosts = addresses.map((one) => `${one}:${listens}`);
  }

  /** Notes whose line this is, so that it can be cut. */
  ofDevice(id: string, { socket }: IncomingMessage): void {
    const lines = this.lines.get(id) ?? new Set();
    this.lines.set(id, lines);
    if (lines.has(socket)) return;
    lines.add(socket);
    socket.once('close', () => lines.delete(socket));
  }

  /** Cuts all that a device has open, streams of events too. */
  cut(id: string): void {
    this.lines.get(id)?.forEach((socket) => socket.destroy());
    this.lines.delete(id);
  }

  async close(): Promise<void> {
    const { server } = this;
    this.server = null;
    this.hosts = [];
    if (!server) return;
    const closed = new Promise((resolve) => server.close(resolve));
    server.closeAllConnections();
    await closed;
  }
}

/** This computer is on no network. */
export class NoNetwork extends Error {
  override readonly name = 'NoNetwork';
}

const listen = (server: Server, host: string, port: number): Promise<void> =>
  new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => {
      server.off('error', reject);
      resolve();
    });
  });
