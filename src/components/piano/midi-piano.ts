import { isOnKeyboard } from "@/core/keyboard/pitch";
import { SUSTAIN } from "@/core/trials/take";
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
    listen(heard, pedalled) {
      const on = input.addListener("noteon", ({ note, timestamp: ms }) => {
        if (isOnKeyboard(note.number)) heard({ key: note.number, down: true, ms, velocity: note.rawAttack });
      });
      const off = input.addListener("noteoff", ({ note, timestamp: ms }) => {
        if (isOnKeyboard(note.number)) heard({ key: note.number, down: false, ms, velocity: 0 });
      });
      const pedal = input.addListener("controlchange", ({ controller, rawValue, timestamp: ms }) => {
        if (controller.number === SUSTAIN && rawValue !== undefined) pedalled?.({ ms, value: rawValue });
      });
      return () => {
        for (const listener of [on, off, pedal].flat()) listener.remove();
      };
    },
  }));
}
