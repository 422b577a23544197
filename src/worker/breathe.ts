const { port1, port2 } = new MessageChannel();

/** A turn of a worker's event loop, so that a newer request can come in. */
export function breathe(): Promise<void> {
  return new Promise((resolve) => {
    port1.onmessage = () => resolve();
    port2.postMessage(null);
  });
}
