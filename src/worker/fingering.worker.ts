import { expose } from "comlink";
import { fingeringService } from "./fingering-service";

const { port1, port2 } = new MessageChannel();

/** A turn of the event loop, so that a newer request can come in. */
function breathe(): Promise<void> {
  return new Promise((resolve) => {
    port1.onmessage = () => resolve();
    port2.postMessage(null);
  });
}

expose(fingeringService(breathe, () => performance.now()));
