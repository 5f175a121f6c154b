import { connect, createServer, type Server } from 'node:net';

/** How a connection through the proxy goes. */
const MOODS = ['fine', 'fine', 'fine', 'fine', 'silent', 'cut', 'garbage', 'trickle', 'refused'] as const;

/**
 * Stands between a client and a server of this machine and misbehaves by connection: it is silent, hangs up in the middle,
 * sends garbage, sends a byte at a time, or lets all through.
 *
 * @param draw a number from 0 to 1, seeded
 * @returns the server and its port
 */
export const chaosProxy = (to: number, draw: () => number): Promise<{ server: Server; port: number }> =>
  new Promise((resolve) => {
    const server = createServer((client) => {
      const mood = MOODS[Math.floor(draw() * MOODS.length)] ?? 'fine';
      client.on('error', () => client.destroy());
      if (mood === 'refused') return void client.destroy();
      const other = connect(to, '127.0.0.1');
      other.on('error', () => client.destroy());
      client.on('close', () => other.destroy());
      other.on('close', () => mood !== 'silent' && mood !== 'trickle' && client.end());
      client.on('data', (piece) => other.write(piece));
      other.on('data', (piece) => {
        if (mood === 'silent') return;
        if (mood === 'cut')
          return void client.write(piece.subarray(0, piece.length >> 1), () => client.destroy());
        if (mood === 'garbage') return void client.write(Buffer.from(piece.map((byte) => byte ^ 0x5a)));
        if (mood === 'fine') return void client.write(piece);
        let at = 0;
        const timer = setInterval(() => {
          if (client.destroyed || at >= piece.length) return clearInterval(timer);
          client.write(piece.subarray(at, ++at));
        }, 20);
      });
    });
    server.listen(0, '127.0.0.1', () =>
      resolve({ server, port: (server.address() as { port: number }).port }),
    );
  });
