import { wrap, type Remote } from "comlink";
import type { Engraver } from "./engraver";
import type { FingeringService } from "./fingering-service";

/** One worker of each kind a page, started when first asked for and kept. */
const started: { engraver?: Remote<Engraver>; fingering?: Remote<FingeringService> } = {};

export function engraver(): Remote<Engraver> {
  return (started.engraver ??= wrap<Engraver>(
    new Worker(new URL("./engraver.worker.ts", import.meta.url), { type: "module" }),
  ));
}

export function fingeringWorker(): Remote<FingeringService> {
  return (started.fingering ??= wrap<FingeringService>(
    new Worker(new URL("./fingering.worker.ts", import.meta.url), { type: "module" }),
  ));
}
