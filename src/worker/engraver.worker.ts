import { expose } from "comlink";
import { VerovioToolkit } from "verovio/esm";
import createModule from "verovio/wasm";
import { excerpt } from "@/formats/musicxml/excerpt";
import { readScore } from "@/formats/musicxml/open";
import { pianoPart } from "@/formats/musicxml/score";
import { writeEntry } from "@/formats/musicxml/write-entry";
import { engraverOptions, type Engraver } from "./engraver";
import { WARM_UP, WARM_UP_ASKED } from "./warm-up";

/** Starts once, early: the first engraving waits for it. */
const ready = createModule().then((module) => new VerovioToolkit(module));

/** ms without anything asked, after which music for nobody is engraved: the engraver's first drawing takes longest. */
const IDLE = 250;

const state = { isAsked: false };

const engraver: Engraver = {
  async engrave(asked) {
    state.isAsked = true;
    const toolkit = await ready;
    toolkit.setOptions(engraverOptions(asked));
    toolkit.resetXmlIdSeed(1);
    if (!toolkit.loadData(asked.music)) throw new Error("The music could not be engraved.");
    return Array.from({ length: toolkit.getPageCount() }, (_, i) => toolkit.renderToSVG(i + 1));
  },
  engraveEntry(entry, asked) {
    const text = writeEntry(entry);
    const read = readScore(new TextEncoder().encode(text));
    // As long as there is no note, there is none to name.
    const music = read.ok ? excerpt(read.value, pianoPart(read.value), 1, entry.bars.length) : text;
    return engraver.engrave({ ...asked, music });
  },
};

void ready.then(() =>
  setTimeout(() => {
    if (!state.isAsked) void engraver.engraveEntry(WARM_UP, WARM_UP_ASKED);
  }, IDLE),
);

expose(engraver);
