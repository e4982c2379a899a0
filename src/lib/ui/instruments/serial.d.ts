/** The part of the Web Serial API that is used (P: WICG Web Serial); the language's own definitions do not have it. */
interface SerialPort {
  readonly readable: ReadableStream<Uint8Array> | null;
  open(options: { readonly baudRate: number }): Promise<void>;
  close(): Promise<void>;
}
interface Navigator {
  readonly serial?: { requestPort(): Promise<SerialPort> };
}
