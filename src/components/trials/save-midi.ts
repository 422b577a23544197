import type { Take } from "@/core/trials/take";
import { saveFile } from "../keeping/save-file";
import { fingeringWorker } from "@/worker/clients";

/** Lets the player keep a take as a Standard MIDI File. */
export async function saveMidi(take: Pick<Take, "keys" | "pedal">, name = "take.mid"): Promise<void> {
  const bytes = await fingeringWorker().asMidi(take);
  saveFile(new Blob([bytes as BlobPart], { type: "audio/midi" }), name);
}
