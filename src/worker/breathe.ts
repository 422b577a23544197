const { port1, port2 } = new MessageChannel();
const waiting: (() => void)[] = [];
port1.onmessage = () => waiting.shift()?.();

/** A turn of a worker's event loop, so that a newer request can come in. Several may breathe at once. */
export function breathe(): Promise<void> {
  return new Promise((resolve) => {
    waiting.push(resolve);
    port2.postMessage(null);
  });
}
