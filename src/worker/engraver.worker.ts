import { expose } from "comlink";
import { VerovioToolkit } from "verovio/esm";
import createModule from "verovio/wasm";
import { breathe } from "./breathe";
import { engraverService } from "./engraver-service";
import { WARM_UP, WARM_UP_ASKED } from "./warm-up";

/** Starts once, early: the first engraving waits for it. */
const ready = createModule().then((module) => new VerovioToolkit(module));

/** ms without anything asked, after which music for nobody is engraved: the engraver's first drawing takes longest. */
const IDLE = 250;

const service = engraverService(ready, breathe);
const state = { isAsked: false };

expose({
  ...service,
  engrave(...asked: Parameters<typeof service.engrave>) {
    state.isAsked = true;
    return service.engrave(...asked);
  },
});

void ready.then(() =>
  setTimeout(() => {
    if (!state.isAsked) void service.engraveEntry(WARM_UP, WARM_UP_ASKED, "nobody");
  }, IDLE),
);
