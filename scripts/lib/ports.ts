import net from 'node:net';

/** Whether something on this machine already listens on the port. */
export function isPortTaken(port: number, host = '127.0.0.1'): Promise<boolean> {
  return new Promise((resolve) => {
    const server = net.createServer();
    server.once('error', () => resolve(true));
    server.listen(port, host, () => server.close(() => resolve(false)));
  });
}

/** A port nobody uses at the moment. */
export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const server = net.createServer();
    server.once('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() =>
        address && typeof address === 'object' ? resolve(address.port) : reject(new Error('no port')),
      );
    });
  });
}

/** A process that was just ended may hold its port for a moment. */
const MOMENT_MS = 5000;

/** Whether something listens on the port, and goes on listening. */
export async function staysTaken(port: number, host: string): Promise<boolean> {
  const giveUp = Date.now() + MOMENT_MS;
  while (await isPortTaken(port, host)) {
    if (Date.now() > giveUp) return true;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  return false;
}
