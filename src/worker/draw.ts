import {
  NotEngraved,
  engrave,
  type Engraved,
  type EngravingAsked,
  type Toolkit,
} from "@/formats/musicxml/engraving/engrave";

/**
 * Draws a music.
 * @param overtaken aborted once the drawing is not wanted any more
 * @throws NotEngraved where the music cannot be drawn
 */
export type Draw = (asked: EngravingAsked, overtaken: AbortSignal) => Promise<Engraved>;

/** ms that the server may take before the drawing is made here. A choice: several times what a long piece takes. */
const MOST_MS = 15_000;

/** The status with which the server says that it is the music that cannot be drawn. */
const UNPROCESSABLE = 422;

/** Asks the server, whose engraver has long been started and serves every window. */
export const drawThere: Draw = async (asked, overtaken) => {
  const answer = await fetch(new URL("/engraving", self.location.origin), {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(asked),
    signal: AbortSignal.any([overtaken, AbortSignal.timeout(MOST_MS)]),
  });
  if (answer.status === UNPROCESSABLE) throw new NotEngraved();
  if (!answer.ok) throw new Error(`The server does not engrave: ${answer.status}`);
  return (await answer.json()) as Engraved;
};

/** The engraver of this window could not be started: its code comes from the server, too. */
class EngraverAway extends Error {}

/** Draws with an engraver of one's own, which is started when it is first wanted. */
export function drawHere(started: () => Promise<Toolkit>, breathe: () => Promise<void>): Draw {
  return async (asked, overtaken) => {
    const toolkit = await started().catch((cause: unknown) => {
      throw new EngraverAway("The engraver did not start.", { cause });
    });
    await breathe();
    return overtaken.aborted ? null : engrave(toolkit, asked, () => !overtaken.aborted, breathe);
  };
}

/**
 * Draws in one way, and in another where the first does not come to an end; where neither is there, again and again until
 * something newer is wanted.
 * @param wait until both are tried again
 */
export function drawSomehow(first: Draw, second: Draw, wait: () => Promise<void>): Draw {
  return async (asked, overtaken) => {
    for (; !overtaken.aborted; await wait()) {
      try {
        return await first(asked, overtaken);
      } catch (error) {
        if (overtaken.aborted) return null;
        if (error instanceof NotEngraved) throw error;
      }
      try {
        return await second(asked, overtaken);
      } catch (error) {
        if (!(error instanceof EngraverAway)) throw error;
      }
    }
    return null;
  };
}
