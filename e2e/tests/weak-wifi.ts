import { createServer, connect, type AddressInfo, type Server, type Socket } from 'node:net';
import { setTimeout as pause } from 'node:timers/promises';
import { seededRandom } from '@green-beam/core';

/** Bytes a second each way, for everybody together: 1 Mbit/s. */
const RATE = 125_000;
/** Milliseconds from one end to the other: 300 there and back. */
const DELAY = 150;
/** A packet, how often one is lost, and milliseconds until it is sent again. */
const PACKET = 1460;
const LOST = 0.02;
const SENT_AGAIN = 600;

/** A network between a browser and a server, as weak as that of a school can be. */
export interface WeakWifi {
  readonly port: number;
  /** Nothing comes through until it is mended. */
  cut(): void;
  mend(): void;
  close(): Promise<void>;
}

/** One way of the network: packets follow each other in a line that all connections share. */
class Way {
  private free = 0;

  constructor(private readonly random: () => number) {}

  /** Carries what comes from one end to the other, packet by packet and in order. */
  carry(from: Socket, to: Socket): void {
    let arrived = 0;
    // One after the other: timers of the same moment keep no order.
    let line: Promise<unknown> = Promise.resolve();
    const arrives = (then: () => unknown): void => {
      const at = arrived;
      line = line.then(() => pause(Math.max(0, at - performance.now()))).then(then);
    };
    from.on('data', (bytes: Buffer) => {
      for (let at = 0; at < bytes.length; at += PACKET) {
        const packet = bytes.subarray(at, at + PACKET);
        this.free = Math.max(this.free, performance.now()) + (1000 * packet.length) / RATE;
        arrived = Math.max(arrived, this.free + DELAY + (this.random() < LOST ? SENT_AGAIN : 0));
        arrives(() => to.writable && to.write(packet));
      }
    });
    from.on('end', () => arrives(() => to.end()));
    from.on('error', () => to.destroy());
    from.on('close', (failed) => failed && to.destroy());
  }
}

/** @param serverPort of a server on this computer. */
export async function weakWifi(serverPort: number, seed: number): Promise<WeakWifi> {
  const random = seededRandom(seed);
  const next = (): number => random.uniform();
  const [there, back] = [new Way(next), new Way(next)];
  const sockets = new Set<Socket>();
  let whole = true;
  const server: Server = createServer((near) => {
    if (!whole) {
      near.destroy();
      return;
    }
    const far = connect(serverPort, '127.0.0.1');
    for (const socket of [near, far]) {
      sockets.add(socket);
      socket.on('close', () => sockets.delete(socket));
    }
    there.carry(near, far);
    back.carry(far, near);
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return {
    port: (server.address() as AddressInfo).port,
    cut: () => {
      whole = false;
      sockets.forEach((socket) => socket.destroy());
    },
    mend: () => {
      whole = true;
    },
    close: () => {
      sockets.forEach((socket) => socket.destroy());
      return new Promise((done) => server.close(() => done()));
    },
  };
}
