import { expose } from "comlink";
import { breathe } from "./breathe";
import { onceStarted } from "@/formats/musicxml/engraving/start-engraver";
import { drawHere, drawSomehow, drawThere } from "./draw";
import { engraverService } from "./engraver-service";

/** ms after which the engraver of this window is started ahead, for when the server does not answer. */
const AHEAD = 20_000;

/** ms from one look for the server to the next. */
const AGAIN = 1000;

const started = onceStarted();
const wait = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, AGAIN));

expose(engraverService(drawSomehow(drawThere, drawHere(started, breathe), wait)));

setTimeout(() => void started().catch(() => undefined), AHEAD);
