import { compose } from "@/demo/compose";
import { DEMO_PIECES } from "@/demo/scenario";
import { handOf, type Passage } from "@/core/passage/passage";
import { noteName } from "@/core/passage/note";
import { toNumber } from "@/core/time/beats";
import { doubtfulNotes } from "@/core/transcription/doubtful-notes";
import type { Choices } from "@/core/transcription/choices";
import type { Heard } from "@/core/transcription/heard";
import { transcribed } from "@/core/transcription/transcribe";
import { partMidi } from "@/formats/midi/part-midi";
import { readHeard } from "@/formats/midi/read-heard";
import { pianoPart } from "@/formats/musicxml/parts";
import { passageFrom } from "@/formats/musicxml/passage";
import { readScore } from "@/formats/musicxml/reading/open";
import type { Part, Score } from "@/formats/musicxml/score";
import { writeScore } from "@/formats/musicxml/writing/write-score";
import { writeTranscript } from "@/formats/musicxml/writing/write-transcript";
import { madeMusic } from "./support/made-music";
import { seeded } from "./support/seeded";
import { studyOfKeys } from "./support/studies";

const player = studyOfKeys([60], "right");

interface Opened {
  readonly name: string;
  readonly score: Score;
  readonly part: Part;
  readonly whole: Passage;
}

function opened(name: string, text: string): Opened {
  const read = readScore(new TextEncoder().encode(text));
  if (!read.ok) throw new Error(`${name}: ${read.issues[0]!.message}`);
  const part = pianoPart(read.value);
  return { name, score: read.value, part, whole: passageFrom(part, 1, part.bars.length, "both") };
}

function heardFrom(bytes: Uint8Array): Heard {
  const heard = readHeard(bytes);
  if (!heard.ok) throw new Error(heard.issues[0]!.message);
  return heard.value;
}

/** Heard, written, and read again as any score. */
function again(heard: Heard, choices: Choices = {}): Passage {
  return opened("again", writeTranscript(transcribed(heard, choices, player), "Again")).whole;
}

const demo = DEMO_PIECES.map(({ fileName, score }) => opened(fileName, compose(score)));
const made = Array.from({ length: 24 }, (_, i) => opened(`made ${i}`, writeScore(madeMusic(seeded(9000 + i), 12))));

/** Notes that came back: with their place, length and spelling; and with their hand. Shares of 100. */
function cameBack(pieces: readonly { readonly truth: Passage; readonly back: Passage }[]) {
  let [all, right, hand] = [0, 0, 0];
  for (const { truth, back } of pieces) {
    const left = new Map<string, Passage["notes"][number][]>();
    const nameOf = (n: Passage["notes"][number]) => `${noteName(n)} ${n.bar} ${n.beat} ${n.duration} ${n.grace}`;
    for (const note of back.notes) left.set(nameOf(note), [...(left.get(nameOf(note)) ?? []), note]);
    for (const note of truth.notes) {
      all++;
      const found = left.get(nameOf(note))?.shift();
      if (!found) continue;
      right++;
      if (handOf(found, back) === handOf(note, truth)) hand++;
    }
  }
  return { notes: all, right: (100 * right) / all, hand: (100 * hand) / Math.max(1, right) };
}

function told(what: string, { notes, right, hand }: ReturnType<typeof cameBack>): void {
  process.stdout.write(
    `${what}: ${notes} notes, ${right.toFixed(2)} of 100 with bar, beat, length and spelling, of those ${hand.toFixed(2)} with their hand\n`,
  );
}

describe("a score written as MIDI and heard again", () => {
  it("comes back note by note: 99 of 100 with bar, beat, length and spelling, 97 with their hand", () => {
    for (const [what, pieces] of [
      ["demo", demo],
      ["made music", made],
    ] as const) {
      const found = cameBack(
        pieces.map(({ score, part, whole }) => ({ truth: whole, back: again(heardFrom(partMidi(score, part))) })),
      );
      told(what, found);
      expect(found.right).toBeGreaterThanOrEqual(99);
      expect(found.hand).toBeGreaterThanOrEqual(97);
    }
  });

  it("has its hands told apart by what they cost where one track holds both", () => {
    // Lantern Stairs is written for the hands by turns, note by note, which no ear could tell.
    const pieces = demo.filter(({ name }) => !name.startsWith("lantern"));
    const asOne = pieces.map(({ score, part, whole }) => {
      const heard = heardFrom(partMidi(score, part));
      const keys = heard.keys.map((key) => ({ ...key, track: 0 }));
      return { truth: whole, back: again({ ...heard, keys, tracks: [""] }) };
    });
    const found = cameBack(asOne);
    told("demo, as one track", found);
    expect(found.hand).toBeGreaterThanOrEqual(97);
  });

  it("keeps bars of every length, an upbeat and a change of time and key among them", () => {
    for (const { score, part, whole } of made) {
      const { bars } = transcribed(heardFrom(partMidi(score, part)), {}, player);
      const sounding = whole.notes.map((n) => toNumber(n.onset) + toNumber(n.duration));
      const last = part.bars.filter(({ start }) => toNumber(start) < Math.max(...sounding));
      expect(bars.map(({ number, length }) => `${number} ${length}`)).toEqual(
        last.map(({ number, length }) => `${number} ${length}`),
      );
    }
  });
});

/** The same music as somebody plays it: uneven, held for longer and shorter, to a click or with a tempo of its own. */
function played(heard: Heard, seed: number, toClick: boolean): Heard {
  const random = seeded(seed);
  const quarter = 60_000 / heard.tempo;
  const msAt = (at: number) => 100 + at * quarter + (toClick ? 0 : 1.2 * quarter * Math.sin(at / 9));
  const perMs = toClick ? 1 / quarter : 1 / 500;
  const keys = heard.keys
    .map((key) => {
      const ms = Math.max(0, msAt(key.at) + random.about(0, 9));
      const held = (msAt(key.ends) - msAt(key.at)) * (0.72 + 0.36 * random.next());
      const loud = Number.isInteger(key.at) ? 66 : 58;
      const at = (ms - 100) * perMs;
      const velocity = Math.max(1, Math.round(random.about(loud, 5)));
      return { ...key, ms, msEnds: ms + held, at: Math.max(0, at), ends: at + held * perMs, velocity };
    })
    .sort((a, b) => a.ms - b.ms || a.key - b.key);
  return toClick ? { ...heard, keys } : { ...heard, keys, times: [], signatures: [], tempo: 120 };
}

describe("music as it is played", () => {
  it.each([
    ["to a click", true, 94],
    ["freely", false, 94],
  ] as const)("has its rhythm found: %s", (what, toClick, least) => {
    let [all, right] = [0, 0];
    for (const { score, part, whole } of demo) {
      const { notes } = transcribed(played(heardFrom(partMidi(score, part)), 7, toClick), {}, player);
      const off = toNumber(whole.notes[0]!.onset) - toNumber(notes[0]!.at);
      const places = new Set(notes.map(({ key, at }) => `${key} ${(toNumber(at) + off).toFixed(4)}`));
      all += whole.notes.length;
      right += whole.notes.filter((n) => places.has(`${n.pitch} ${toNumber(n.onset).toFixed(4)}`)).length;
    }
    process.stdout.write(`demo, played ${what}: ${((100 * right) / all).toFixed(1)} of 100 notes on their place\n`);
    expect((100 * right) / all).toBeGreaterThanOrEqual(least);
  });

  it("is written whatever it is, and read back with as many notes", () => {
    for (let seed = 1; seed <= 60; seed++) {
      const random = seeded(seed);
      let at = 0;
      const keys = Array.from({ length: random.whole(1, 50) }, () => {
        at += random.pick([0, 0, random.next(), random.whole(1, 8) / 12, random.whole(1, 10) / 10, random.next() * 6]);
        const length = random.pick([random.next() * 3, 0.25, 1 / 3, 0.02, random.next() * 0.2]);
        const ms = { ms: at * 500, msEnds: (at + length) * 500 };
        return { key: random.whole(30, 90), at, ends: at + length, ...ms, velocity: random.whole(1, 127), track: 0 };
      }).sort((a, b) => a.at - b.at || a.key - b.key);
      const time = [random.whole(1, 7), random.pick([2, 4, 8])] as const;
      const heard = {
        title: null,
        keys,
        tracks: [""],
        times: [{ at: 0, time }],
        signatures: [],
        tempo: 120,
        division: 480,
      };
      const choices = random.chance(0.3) ? { beat: "ear" as const } : {};
      expect(again(heard as unknown as Heard, choices).notes.length).toBeGreaterThan(0);
    }
  });

  it("has every doubtful note shown on the score that was heard", () => {
    let all = 0;
    for (const { score, part } of demo) {
      const transcript = transcribed(played(heardFrom(partMidi(score, part)), 11, false), {}, player);
      const { notes } = opened("again", writeTranscript(transcript, "Again")).whole;
      const found = doubtfulNotes(transcript.doubts, notes);
      expect(found.map((note) => note?.pitch)).toEqual(transcript.doubts.map(({ pitch }) => pitch));
      expect(found.map((note) => note?.bar)).toEqual(transcript.doubts.map(({ bar }) => String(bar)));
      all += found.length;
      // As they were kept before they said where they are.
      const unplaced = transcript.doubts.map((doubt) => ({ ...doubt, pitch: undefined, at: undefined }) as never);
      expect(doubtfulNotes(unplaced, notes)).toEqual(transcript.doubts.map(() => null));
    }
    expect(all).toBeGreaterThan(5);
  });

  it("is heard as the player says: bars, key, upbeat, and each doubtful note the other way", () => {
    const heard = played(heardFrom(partMidi(demo[0]!.score, demo[0]!.part)), 3, false);
    const said = transcribed(heard, { time: [3, 4], upbeat: 1, fifths: -3 }, player);
    expect(said.guessed).toMatchObject({ time: [3, 4], upbeat: "1", fifths: -3 });
    expect(said.bars.slice(0, 3).map(({ number, length }) => `${number} ${length}`)).toEqual(["0 1", "1 3", "2 3"]);
    const first = transcribed(heard, {}, player);
    for (const { key, doubt, otherwise } of first.doubts) {
      const turned = transcribed(heard, { turned: [{ key, doubt }] }, player);
      const back = turned.doubts.find((one) => one.key === key && one.doubt === doubt);
      if (doubt === "spelling" || doubt === "hand") expect(back!.now).toBe(otherwise);
      expect(turned.notes).not.toEqual(first.notes);
    }
  });
});
