import { fingered, studyOfKeys } from "../../../../tests/support/studies";
import { isBlack } from "../../keyboard/pitch";
import { toNumber } from "../../time/beats";
import type { Drill } from "../drill";
import type { DrillEvent } from "../music";
import { sourcesOf, type Source } from "../source";
import { DRILL_KINDS, drillsOf } from "./index";
import { causeById } from "../../fingering/cost/causes";

const SCALE = [60, 62, 64, 65, 67, 69, 71, 72];
const of = (
  keys: readonly (number | readonly number[])[],
  digits: string,
  side: "right" | "left" = "right",
): Source => {
  const study = studyOfKeys(keys, side);
  return sourcesOf(study, fingered(study, digits))[0]!;
};
const scale = of(SCALE, "12312345");
const drill = (source: Source, id: string): Drill => drillsOf(source).find((one) => one.id === id)!;
/** "60/1 62/2 -": keys with fingers, a rest as a dash. */
const said = (events: readonly DrillEvent[]): string =>
  events
    .map(({ keys }) => (keys.length === 0 ? "-" : keys.map(({ key, finger }) => `${key}/${finger}`).join("+")))
    .join(" ");
const first = (source: Source, id: string): string => said(drill(source, id).music.hands[0]!.events);
const lengths = (source: Source, id: string): readonly number[] =>
  drill(source, id).music.hands[0]!.events.map(({ length }) => toNumber(length));

describe("drills of a scale with one pass", () => {
  it("take each position alone, twice, with a rest to the bar", () => {
    expect(first(scale, "positions 0")).toBe("60/1 62/2 64/3 - 60/1 62/2 64/3 -");
    expect(first(scale, "positions 3")).toBe("65/1 67/2 69/3 71/4 72/5 - 65/1 67/2 69/3 71/4 72/5 -");
  });

  it("take the join alone, from the last notes before it to the first after it", () => {
    expect(first(scale, "joins 3")).toBe("62/2 64/3 65/1 67/2 - 62/2 64/3 65/1 67/2 -");
  });

  it("make solid chords of the positions, as long as those last, and half as long", () => {
    expect(first(scale, "solid-chords")).toBe("60/1+62/2+64/3 65/1+67/2+69/3+71/4+72/5");
    expect(lengths(scale, "solid-chords")).toEqual([0.75, 1.25]);
    expect(lengths(scale, "solid-chords-half")).toEqual([0.375, 0.625]);
  });

  it("stop before the join, the hand going in silence", () => {
    expect(first(scale, "stop-after 3")).toBe("60/1 62/2 64/3 - 65/1 67/2 69/3 71/4 -");
  });

  it("burst to the first note of the next burst, with a rest after each", () => {
    expect(first(scale, "bursts 4")).toBe("60/1 62/2 64/3 65/1 67/2 - 67/2 69/3 71/4 72/5 -");
  });

  it("change the rhythm and nothing else", () => {
    expect(lengths(scale, "rhythms long-short").slice(0, 4)).toEqual([0.375, 0.125, 0.375, 0.125]);
    expect(lengths(scale, "rhythms long-2").slice(0, 5)).toEqual([0.25, 1, 0.25, 0.25, 0.25]);
    expect(lengths(scale, "rhythms triplets")[0]).toBeCloseTo(1 / 3, 9);
    for (const id of ["long-short", "short-long", "triplets", "long-1"])
      expect(first(scale, `rhythms ${id}`)).toBe("60/1 62/2 64/3 65/1 67/2 69/3 71/4 72/5");
  });

  it("add a group at a time from the end", () => {
    expect(first(scale, "from-the-end")).toBe("67/2 69/3 71/4 72/5 - 60/1 62/2 64/3 65/1 67/2 69/3 71/4 72/5 -");
  });

  it("go an octave to the side and home", () => {
    expect(first(scale, "aside 1")).toBe(
      "72/1 74/2 76/3 77/1 79/2 81/3 83/4 84/5 - 60/1 62/2 64/3 65/1 67/2 69/3 71/4 72/5 -",
    );
    expect(first(of([48, 50], "54", "left"), "aside 1")).toBe("36/5 38/4 - 48/5 50/4 -");
  });
});

describe("drills of chords", () => {
  const chords = of(
    [
      [48, 52, 55],
      [47, 50, 55],
    ],
    "531531",
    "left",
  );

  it("loosen one finger at a time, the others held under it", () => {
    const { hands, tempo } = drill(chords, "loosened 0").music;
    expect(said(hands[0]!.events)).toBe("48/5 49/5 48/5 48/5 52/3 53/3 52/3 52/3 55/1 54/1 55/1 55/1");
    expect(said(hands[1]!.events)).toBe("52/3+55/1 48/5+55/1 48/5+52/3");
    expect(hands[1]!.isUnder).toBe(true);
    expect(tempo).toBeLessThan(chords.tempo);
  });

  it("loosen no chord that has a key without a finger of its own", () => {
    const held = (digits: string): boolean =>
      drillsOf(of([[48, 52, 55]], digits, "left")).some(({ kind }) => kind === "loosened");
    expect([held("531"), held("551")]).toEqual([true, false]);
    const without = {
      ...chords,
      onsets: chords.onsets.map((o) => ({ ...o, keys: o.keys.map((k, i) => (i === 0 ? { ...k, finger: null } : k)) })),
    };
    expect(drillsOf(without).some(({ kind }) => kind === "loosened")).toBe(false);
  });

  it("close the hand for half of each chord's length", () => {
    expect(first(chords, "closed-hand")).toBe("48/5+52/3+55/1 - 47/5+50/3+55/1 -");
    const [on, off] = lengths(chords, "closed-hand");
    expect(on).toBe(off);
  });

  it("take the tune and the rest apart, in the same rhythm", () => {
    const tuned = {
      ...chords,
      onsets: chords.onsets.map((o) => ({ ...o, keys: o.keys.map((k, i) => ({ ...k, isTune: i === 2 })) })),
    };
    expect(first(tuned, "tune-alone")).toBe("55/1 55/1");
    expect(first(tuned, "tune-alone rest")).toBe("48/5+52/3 47/5+50/3");
    expect(lengths(tuned, "tune-alone")).toEqual(lengths(tuned, "tune-alone rest"));
  });

  it("take each voice by itself, with rests where it is silent", () => {
    const keys = chords.onsets.map((o, n) => ({
      ...o,
      keys: o.keys.map((k, i) => ({ ...k, voice: i === 0 && n === 1 ? "2" : "1" })),
    }));
    expect(first({ ...chords, onsets: keys }, "voices 2")).toBe("- 47/5");
  });
});

describe("drills of a line in other touches", () => {
  const marks = (id: string): readonly (string | undefined)[] =>
    drill(scale, id).music.hands[0]!.events.map(({ mark }) => mark);

  it("change the touch and nothing else", () => {
    for (const id of [
      "touches detached",
      "touches two-note-slurs",
      "touches accent-2",
      "touches soft",
      "against-the-beat 3",
    ]) {
      expect(first(scale, id)).toBe("60/1 62/2 64/3 65/1 67/2 69/3 71/4 72/5");
      expect(lengths(scale, id)).toEqual(scale.onsets.map(({ length }) => toNumber(length)));
    }
    expect(marks("touches two-note-slurs").slice(0, 4)).toEqual(["slur", "slur-end", "slur", "slur-end"]);
    expect(
      marks("touches accent-2")
        .map((mark, i) => (mark ? i : -1))
        .filter((i) => i >= 0),
    ).toEqual([1, 5]);
    expect(marks("touches strong-fingers").map((mark) => mark === "accent")).toEqual(
      [..."12312345"].map((digit) => digit >= "4"),
    );
    expect(
      marks("against-the-beat 3")
        .map((mark, i) => (mark ? i : -1))
        .filter((i) => i >= 0),
    ).toEqual([0, 3, 6]);
  });

  it("never begin a slur that ends on nothing", () => {
    const odd = of([60, 62, 64, 65, 67], "12345");
    const slurs = drill(odd, "touches two-note-slurs").music.hands[0]!.events.map(({ mark }) => mark);
    expect(slurs.filter((mark) => mark === "slur")).toHaveLength(slurs.filter((mark) => mark === "slur-end").length);
  });
});

describe("drills of the arm and the ear", () => {
  it("carry the hand from position to position, the last note of each let go", () => {
    expect(first(scale, "carried")).toBe("60/1 62/2 64/3 - 65/1 67/2 69/3 71/4 72/5");
    expect(lengths(scale, "carried").slice(2, 4)).toEqual([0.125, 0.125]);
  });

  it("take a figure over four octaves and back", () => {
    const keys = drill(scale, "trunk").music.hands[0]!.events.flatMap((event) =>
      event.keys.map(({ key }) => key as number),
    );
    expect(keys).toHaveLength(7 * 3);
    expect(Math.max(...keys) - Math.min(...keys)).toBe(36 + 4);
    expect(keys.slice(0, 3)).toEqual(keys.slice(-3));
  });

  it("put the other hand beside, on the same notes an octave away and clear of this one", () => {
    const [own, other] = drill(scale, "alongside").music.hands;
    own!.events.forEach(({ keys }, i) => expect(keys[0]!.key - other!.events[i]!.keys[0]!.key).toBe(24));
    expect(other!.events.every(({ keys }) => keys[0]!.finger === null)).toBe(true);
  });

  it("are dry only where there is a pedal", () => {
    const has = (source: Source): boolean => drillsOf(source).some(({ id }) => id === "without-pedal");
    expect([has({ ...scale, pedal: true }), has({ ...scale, pedal: false })]).toEqual([true, false]);
    expect(drill(scale, "imagined").isImagined).toBe(true);
  });

  it("warm up on five neighbouring keys, slower than the passage, and on what opens least", () => {
    expect(first(scale, "warm-five")).toMatch(/^60\/1 62\/2 64\/3 65\/4 67\/5 65\/4 64\/3 62\/2 60\/1/);
    expect(drill(scale, "warm-five").music.tempo).toBe(scale.tempo / 2);
    expect(first(scale, "warm-easy")).toMatch(/^60\/1 62\/2 64\/3 -/);
  });

  it("warm up on the scale of the key, up an octave and down, where the keyboard has room", () => {
    const keys = drill(scale, "warm-scale").music.hands[0]!.events.flatMap((event) =>
      event.keys.map(({ key }) => key - 60),
    );
    expect(keys).toEqual([0, 2, 4, 5, 7, 9, 11, 12, 11, 9, 7, 5, 4, 2, 0]);
  });

  it("finger the scale for the hand that plays it, with a pass and back again", () => {
    for (const source of [scale, of([72, 71, 69, 67, 65, 64, 62, 60], "12312345", "left")]) {
      const digits = drill(source, "warm-scale").music.hands[0]!.events.flatMap(({ keys }) =>
        keys.map(({ finger }) => finger!),
      );
      expect(digits).not.toContain(null);
      const passes = digits.slice(1).filter((finger, i) => Math.abs(finger - digits[i]!) >= 2);
      expect(passes.length).toBeGreaterThanOrEqual(2);
    }
  });

  it("are against causes that there are", () => {
    for (const { against } of DRILL_KINDS) for (const cause of against) expect(causeById(cause).id).toBe(cause);
  });
});

describe("every drill", () => {
  const sources = [
    scale,
    of([66, 68, 70, 71, 73, 75, 77, 78, 80, 82, 83, 85], "234123123412"),
    of(
      [
        [48, 52, 55],
        [47, 50, 55],
        [45, 48, 52],
      ],
      "531521531",
      "left",
    ),
    of([60], "1"),
  ];

  it("keeps the fingers of the passage and asks for no key that is not on the keyboard", () => {
    for (const source of sources)
      for (const { music, done, stop, attacks } of drillsOf(source)) {
        expect([done, stop, attacks].every((words) => words.length > 10)).toBe(true);
        for (const { events } of music.hands)
          for (const { keys, length } of events) {
            expect(toNumber(length)).toBeGreaterThan(0);
            for (const { key } of keys) expect(key >= 21 && key <= 108).toBe(true);
          }
      }
  });

  it("covers every pair of neighbours where groups overlap", () => {
    for (const source of sources.slice(0, 2)) {
      const events = drill(source, "overlapping").music.hands[0]!.events;
      const pairs = new Set(events.slice(1).map((now, i) => `${said([events[i]!])} ${said([now])}`));
      source.onsets.slice(1).forEach((now, i) => {
        expect(pairs).toContain(`${said([source.onsets[i]!])} ${said([now])}`);
      });
    }
  });

  it("in the mirror has the same fingers on keys of the same colour, clear of the hand it mirrors", () => {
    for (const source of sources) {
      const mirrored = drill(source, "mirror");
      const [own, other] = mirrored.music.hands;
      expect(own!.side).not.toBe(other!.side);
      const keys = { own: [] as number[], other: [] as number[] };
      own!.events.forEach((event, i) => {
        const back = [...other!.events[i]!.keys].reverse();
        event.keys.forEach(({ key, finger }, k) => {
          expect(back[k]!.finger).toBe(finger);
          expect(isBlack(back[k]!.key)).toBe(isBlack(key));
          keys.own.push(key);
          keys.other.push(back[k]!.key);
        });
      });
      if (own!.side === "right") expect(Math.max(...keys.other)).toBeLessThan(Math.min(...keys.own));
      else expect(Math.min(...keys.other)).toBeGreaterThan(Math.max(...keys.own));
    }
  });
});
