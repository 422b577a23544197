import { expose } from "comlink";
import { VerovioToolkit } from "verovio/esm";
import createModule from "verovio/wasm";
import { engraverOptions, type Engraver } from "./engraver";

/** Starts once, early: the first engraving waits for it. */
const ready = createModule().then((module) => new VerovioToolkit(module));

const engraver: Engraver = {
  async engrave(asked) {
    const toolkit = await ready;
    toolkit.setOptions(engraverOptions(asked));
    toolkit.resetXmlIdSeed(1);
    if (!toolkit.loadData(asked.music)) throw new Error("The music could not be engraved.");
    return Array.from({ length: toolkit.getPageCount() }, (_, i) => toolkit.renderToSVG(i + 1));
  },
};

expose(engraver);
