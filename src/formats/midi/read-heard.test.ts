import { writeMidi, type MidiEvent } from "midi-file";
import { seeded } from "@/core/trials/simulated/seeded";
import { readHeard } from "./read-heard";

const on = (deltaTime: number, noteNumber: number, channel = 0, velocity = 64): MidiEvent => {
  return { deltaTime, type: "noteOn", channel, noteNumber, velocity };
};
const meta = (event: object): MidiEvent => ({ deltaTime: 0, meta: true, ...event }) as MidiEvent;
const END = meta({ type: "endOfTrack" });
const file = (tracks: MidiEvent[][], format: 0 | 1 | 2 = 1): Uint8Array =>
  Uint8Array.from(
    writeMidi({
      header: { format, numTracks: tracks.length, ticksPerBeat: 480 },
      tracks: tracks.map((t) => [...t, END]),
    }),
  );

describe("a MIDI file read as music", () => {
  it("has its keys in quarter notes, track by track, with what it states", () => {
    const stated = [
      meta({ type: "trackName", text: "Made up" }),
      meta({ type: "timeSignature", numerator: 6, denominator: 8, metronome: 24, thirtyseconds: 8 }),
      meta({ type: "keySignature", key: -3, scale: 1 }),
      meta({ type: "setTempo", microsecondsPerBeat: 600_000 }),
    ];
    const read = readHeard(
      file([
        stated,
        [meta({ type: "trackName", text: "Up" }), on(0, 72), on(480, 72, 0, 0)],
        [on(240, 48), on(720, 48, 0, 0)],
      ]),
    );
    if (!read.ok) throw new Error(read.issues[0]!.message);
    const { title, tempo, times, signatures, tracks, keys, division } = read.value;
    expect({ title, tempo, division }).toEqual({ title: "Made up", tempo: 100, division: 480 });
    expect(times).toEqual([{ at: 0, time: [6, 8] }]);
    expect(signatures).toEqual([{ at: 0, fifths: -3 }]);
    expect(tracks).toEqual(["Up", ""]);
    expect(keys.map(({ key, at, ends, ms, track }) => [key, at, ends, ms, track])).toEqual([
      [72, 0, 1, 0, 0],
      [48, 0.5, 2, 300, 1],
    ]);
  });

  it("takes the channels of a single track for tracks, and leaves drums out", () => {
    const read = readHeard(
      file([[on(0, 72, 0), on(0, 48, 1), on(0, 40, 9), on(480, 72, 0, 0), on(0, 48, 1, 0), on(0, 40, 9, 0)]], 0),
    );
    expect(read.ok && [read.value.tracks.length, read.value.keys.map(({ key }) => key)]).toEqual([2, [48, 72]]);
  });

  it("is refused in a sentence that says what is wrong, or read, whatever is damaged", () => {
    const whole = file([[on(0, 60), on(100, 64), on(100, 60, 0, 0), on(50, 64, 0, 0)]]);
    const code = (bytes: Uint8Array): string => {
      const read = readHeard(bytes);
      return read.ok ? "read" : read.issues[0]!.code;
    };
    expect(code(new Uint8Array())).toBe("empty");
    expect(code(file([[on(0, 60), on(10, 60, 0, 0)]], 2))).toBe("format-2");
    expect(code(file([[]]))).toBe("no-keys");
    expect(code(whole.slice(0, 25))).toBe("broken-midi");
    const random = seeded(5);
    for (let trial = 0; trial < 400; trial++) {
      const hurt = Uint8Array.from(whole);
      for (let i = 0; i < 4; i++) hurt[random.whole(0, hurt.length - 1)] = random.whole(0, 255);
      expect(typeof code(hurt)).toBe("string");
    }
  });
});
