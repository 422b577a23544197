import { NotEngraved, engrave, type Engraved, type EngravingAsked } from "@/formats/musicxml/engraving/engrave";
import { entryMusic } from "@/formats/musicxml/engraving/entry-music";
import { onceStarted } from "@/formats/musicxml/engraving/start-engraver";
import { WARM_UP, WARM_UP_ASKED } from "@/formats/musicxml/engraving/warm-up";

export interface EngravingErrand {
  readonly asked: EngravingAsked;
  /** Its one number is not 0 once the drawing is not wanted any more. */
  readonly overtaken: Int32Array<SharedArrayBuffer>;
}

let started = onceStarted();

const noBreath = (): Promise<void> => Promise.resolve();

/** Draws a music with this thread's engraver, which is started once; or says that the music cannot be drawn. */
export async function engraved({ asked, overtaken }: EngravingErrand): Promise<Engraved | "not-engraved"> {
  const toolkit = await started();
  try {
    return await engrave(toolkit, asked, () => Atomics.load(overtaken, 0) === 0, noBreath);
  } catch (error) {
    if (error instanceof NotEngraved) return "not-engraved";
    // What broke off inside the engraver may have left it in disorder: another takes its place.
    if (error instanceof WebAssembly.RuntimeError) started = onceStarted();
    throw error;
  }
}

/** Draws a music for nobody: an engraver's first drawing takes longest. */
export async function engraverWarm(): Promise<void> {
  await engraved({
    asked: { ...WARM_UP_ASKED, music: entryMusic(WARM_UP) },
    overtaken: new Int32Array(new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT)),
  });
}
