import { isOnKeyboard } from "@/core/keyboard/pitch";
import type { PianoInput } from "./piano-input";

/**
 * The MIDI pianos that are connected. Asks the browser, which may ask the player.
 * @throws Error with a sentence when the browser has no MIDI or the player says no
 */
export async function midiPianos(): Promise<readonly PianoInput[]> {
  const { WebMidi } = await import("webmidi");
  try {
    await WebMidi.enable();
  } catch {
    throw new Error("This browser gives no access to MIDI. The keyboard on the screen works in its place.");
  }
  return WebMidi.inputs.map((input) => ({
    name: input.name,
    listen(heard) {
      const on = input.addListener("noteon", ({ note }) => {
        if (isOnKeyboard(note.number)) heard({ key: note.number, down: true });
      });
      const off = input.addListener("noteoff", ({ note }) => {
        if (isOnKeyboard(note.number)) heard({ key: note.number, down: false });
      });
      return () => {
        for (const listener of [on, off].flat()) listener.remove();
      };
    },
  }));
}
