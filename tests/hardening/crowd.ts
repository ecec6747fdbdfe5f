import { request, type ClientRequest, type IncomingMessage } from 'node:http';
import { connect, type Socket } from 'node:net';

/** One open window's stream: what it has heard. */
type Stream = { asked: ClientRequest; heard: string };

/**
 * A crowd at a server: windows that listen, and clients that are slow on purpose, of which half never end what they send, and half
 * never read what they asked for.
 */
export class Crowd {
  #streams: Stream[] = [];
  #slow: Socket[] = [];

  constructor(private base: string) {}

  async gather(streams: number, slow: number): Promise<void> {
    for (let i = 0; i < streams; i++) this.#streams.push(await this.#listen());
    for (let i = 0; i < slow; i++) this.#slow.push(await this.#dawdle(i % 2 === 0));
  }

  #listen(): Promise<Stream> {
    return new Promise((resolve, reject) => {
      const asked = request(`${this.base}/api/v1/stream`, (answer: IncomingMessage) => {
        const stream: Stream = { asked, heard: '' };
        answer.setEncoding('utf8').on('data', (part: string) => {
          stream.heard += part;
          resolve(stream);
        });
        answer.on('error', () => {});
      });
      asked.on('error', reject).end();
    });
  }

  #dawdle(sends: boolean): Promise<Socket> {
    const { hostname, port } = new URL(this.base);
    return new Promise((resolve, reject) => {
      const socket = connect(Number(port), hostname, () => {
        const head = sends
          ? `POST /api/v1/commands/sample.add HTTP/1.1\r\nHost: ${hostname}:${port}\r\ncontent-type: application/json\r\ncontent-length: 9000\r\n\r\n{`
          : `GET /api/v1/tests HTTP/1.1\r\nHost: ${hostname}:${port}\r\n\r\n`;
        socket.pause();
        socket.write(head, () => resolve(socket));
      });
      socket.on('error', reject);
    });
  }

  /** How many windows have heard a word. */
  heard(word: string): number {
    return this.#streams.filter((stream) => stream.heard.includes(word)).length;
  }

  /** All leave at once, without a word. */
  leave(): void {
    for (const { asked } of this.#streams) asked.on('error', () => {}).destroy();
    for (const socket of this.#slow) socket.on('error', () => {}).destroy();
  }
}
