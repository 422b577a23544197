import type { Take } from "@/core/trials/take";
import { fingeringWorker } from "@/worker/clients";

/** Lets the player keep a take as a Standard MIDI File. */
export async function saveMidi(take: Take): Promise<void> {
  const bytes = await fingeringWorker().asMidi(take);
  const address = URL.createObjectURL(new Blob([bytes as BlobPart], { type: "audio/midi" }));
  const link = document.createElement("a");
  link.href = address;
  link.download = "take.mid";
  link.click();
  URL.revokeObjectURL(address);
}
