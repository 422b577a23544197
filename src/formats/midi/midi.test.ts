import { writeMidi } from "midi-file";
import { seeded } from "@/core/trials/simulated/seeded";
import { pitch } from "@/core/keyboard/pitch";
import type { KeyStruck } from "@/core/trials/take";
import { readMidi } from "./read-midi";
import { writeTake } from "./write-midi";

const take = (random = seeded(4)) => {
  const free = new Map<number, number>();
  const keys: KeyStruck[] = [];
  for (let ms = 0, i = 0; i < 60; i++, ms += random.whole(5, 400)) {
    const key = random.whole(21, 108);
    if ((free.get(key) ?? -1) >= ms) continue;
    const upMs = ms + random.whole(20, 900);
    free.set(key, upMs);
    keys.push({ key: pitch(key), downMs: ms, upMs, velocity: random.whole(1, 127) });
  }
  return {
    keys,
    pedal: [
      { ms: 10, value: 100 },
      { ms: 700, value: 31 },
      { ms: 900, value: 0 },
    ],
  };
};

describe("a take as a MIDI file", () => {
  it("comes back as it was, pedal values among it", () => {
    const written = take();
    const back = readMidi(writeTake(written));
    expect(back).toMatchObject({ ok: true, issues: [] });
    expect(back.ok && back.value).toEqual(written);
  });

  it("lets a key that is still down sound to the end, and no pedal fall out", () => {
    const open = { keys: [{ key: pitch(60), downMs: 0, upMs: null, velocity: 9 }], pedal: [{ ms: 400, value: 127 }] };
    const back = readMidi(writeTake(open));
    expect(back.ok && back.value.keys).toEqual([{ key: 60, downMs: 0, upMs: 400, velocity: 9 }]);
    expect(back.ok && back.value.pedal).toEqual(open.pedal);
  });
});

describe("a MIDI file read", () => {
  const on = (deltaTime: number, noteNumber: number, velocity = 64) =>
    ({ deltaTime, type: "noteOn", channel: 0, noteNumber, velocity }) as const;
  const tempo = (deltaTime: number, microsecondsPerBeat: number) =>
    ({ deltaTime, meta: true, type: "setTempo", microsecondsPerBeat }) as const;
  const file = (tracks: Parameters<typeof writeMidi>[0]["tracks"], header = { ticksPerBeat: 480 }) =>
    Uint8Array.from(writeMidi({ header: { format: 1, numTracks: tracks.length, ...header }, tracks }));

  it("heeds tempo changes of another track, and notes that end with no strength", () => {
    const conductor = [tempo(0, 1_000_000), tempo(480, 250_000)];
    const hand = [on(0, 60), on(480, 60, 0), on(0, 62), on(480, 62, 0)];
    const back = readMidi(file([conductor, hand]));
    expect(back.ok && back.value.keys.map(({ key, downMs, upMs }) => [key, downMs, upMs])).toEqual([
      [60, 0, 1000],
      [62, 1000, 1250],
    ]);
  });

  it("leaves out keys that no piano has, and says so", () => {
    const back = readMidi(file([[on(0, 60), on(10, 12), on(10, 120)]]));
    expect(back.ok && back.value.keys).toHaveLength(1);
    expect(back.issues.map(({ code }) => code)).toEqual(["off-the-keyboard"]);
  });

  it("refuses what is none with a sentence, and falls over nothing", () => {
    const whole = file([[on(0, 60), on(10, 60, 0)]]);
    const code = (bytes: Uint8Array) => {
      const back = readMidi(bytes);
      return back.ok ? "read" : back.issues[0]!.code;
    };
    expect(code(new Uint8Array())).toBe("empty");
    expect(code(new TextEncoder().encode("<score/>"))).toBe("not-midi");
    expect(code(whole.slice(0, 20))).toBe("broken-midi");
    expect(code(file([[]]))).toBe("no-keys");
    const random = seeded(8);
    for (let trial = 0; trial < 500; trial++) {
      const hurt = Uint8Array.from(whole);
      for (let i = 0; i < 4; i++) hurt[random.whole(0, hurt.length - 1)] = random.whole(0, 255);
      expect(typeof code(hurt)).toBe("string");
    }
  });
});
