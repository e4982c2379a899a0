import { expose } from 'comlink';
import { MessageChannel, type MessagePort } from 'node:worker_threads';

/** A worker for tests: a message channel with an api behind it. Ports are kept in `ports`, to be closed after the test. */
export class ChannelWorker {
  onerror: (() => void) | undefined;
  readonly addEventListener: unknown;
  readonly removeEventListener: unknown;
  readonly postMessage: unknown;
  private readonly port: MessagePort;

  constructor(api: object, ports: MessagePort[]) {
    const { port1, port2 } = new MessageChannel();
    ports.push(port1, port2);
    expose(api, port2 as never);
    this.port = port1;
    this.addEventListener = (port1 as unknown as EventTarget).addEventListener.bind(port1);
    this.removeEventListener = (port1 as unknown as EventTarget).removeEventListener.bind(port1);
    this.postMessage = port1.postMessage.bind(port1);
    port1.start();
  }

  terminate(): void {
    this.port.close();
  }
}
