import { studyOfKeys } from "../../../tests/support/studies";
import type { Study } from "../fingering/study/study";
import { notesAsked } from "../fingering/study/study";
import { bestLeaning } from "../options/leaning-study";
import { balanced } from "../options/leanings/balanced";
import type { Figure } from "./figure";
import { figuresOf } from "./find";
import { STAY } from "../physics";
import { WEIGHTS } from "../fingering/cost/weights";
import { staysOf } from "./stays";

/** Places of the notes of each stay, key by key. */
function found(study: Study): number[][][] {
  const notes = notesAsked(study);
  return staysOf(study, figuresOf(study)).map(({ keys }) => keys.map((of) => of.map((id) => notes.indexOf(id))));
}

const CHORD = [60, 67, 64, 67, 72, 64, 60, 67, 64, 72, 67, 60];

describe("where the hand stays", () => {
  it("is where few keys under one hand come again and again, key by key", () => {
    expect(found(studyOfKeys(CHORD))).toEqual([
      [
        [0, 6, 11],
        [1, 3, 7, 10],
        [2, 5, 8],
        [4, 9],
      ],
    ]);
  });

  it("begins and ends with a key that comes again: what leads in and on belongs elsewhere", () => {
    const [stay, ...more] = found(studyOfKeys([62, ...CHORD, 65, 81]));
    expect(more).toEqual([]);
    expect(stay!.flat().sort((a, b) => a - b)).toEqual(CHORD.map((_, i) => i + 1));
  });

  it("does not lie across the times of a figure that is moved along, be they on keys of other colours", () => {
    const study = studyOfKeys([62, ...CHORD, 65]);
    const notes = notesAsked(study);
    const [first, second] = [notes.slice(0, 7), notes.slice(7)];
    const moved = {
      side: "right",
      notes: second,
      relation: "diatonic",
      by: 1,
      changed: [],
      alike: 0,
      inSequence: true,
    } as const;
    const figure: Figure = { side: "right", notes: first, returns: [moved] };
    const stays = staysOf(study, [figure]).map(({ keys }) => keys.flat());
    expect(staysOf(study, [])).toHaveLength(1);
    for (const stay of stays) expect([first, second].some((time) => stay.every((id) => time.includes(id)))).toBe(true);
  });

  it.each([
    ["of more keys than fingers", [60, 62, 64, 65, 67, 69, 60, 62, 64, 65, 67, 69, 60, 62, 64, 65, 67, 69]],
    ["that lie farther apart than the hand opens", [48, 60, 67, 48, 67, 60, 48, 60, 67, 48, 67, 60]],
    ["that are struck twice or so", [60, 64, 62, 67, 64, 60, 62, 67]],
    ["of one, struck again and again", Array<number>(20).fill(60)],
    ["of a figure that is moved along", [60, 62, 64, 62, 62, 64, 65, 64, 64, 65, 67, 65, 65, 67, 69, 67]],
  ])("is not where it strikes keys %s", (_, keys) => {
    expect(found(studyOfKeys(keys))).toEqual([]);
  });

  it("is not where whole chords come by turns: each is a shape of its own; two notes at once may be part of one", () => {
    const byTurns = (one: number[], other: number[]) =>
      Array.from({ length: 8 }, (_, i) => (i % 2 === 0 ? one : other));
    expect(found(studyOfKeys(byTurns([60, 64, 67], [59, 62, 67])))).toEqual([]);
    expect(found(studyOfKeys(byTurns([60, 64], [62, 65])))).toHaveLength(1);
  });

  it("lies within a figure that is moved along as a whole", () => {
    const sizes = found(studyOfKeys([...CHORD, ...CHORD.map((key) => key + 12)])).map((keys) => keys.flat().length);
    expect(sizes).toEqual([12, 12]);
  });

  it("goes on for as long as it may, and another begins after it", () => {
    const alberti = (keys: readonly number[]): readonly number[] =>
      [0, 2, 1, 2].map((i) => keys[i]!).concat([0, 2, 1, 2].map((i) => keys[i]!));
    const line = [
      ...alberti([60, 64, 67]),
      ...alberti([60, 64, 67]),
      ...alberti([59, 65, 68]),
      ...alberti([59, 65, 68]),
    ];
    const sizes = found(studyOfKeys(line)).map((keys) => keys.flat().length);
    expect(sizes).toEqual([16, 16]);
  });

  it("is worth what memory is, more where the player wants every figure kept, and is none where figures are free", () => {
    const study = studyOfKeys(CHORD);
    const { memory, memoryAsked } = WEIGHTS;
    expect(staysOf(study, [], "alike").map(({ worth }) => worth)).toEqual([memory]);
    expect(staysOf(study, [], "all").map(({ worth }) => worth)).toEqual([memory * memoryAsked]);
    const five = studyOfKeys([60, 64, 62, 65, 67, 64, 60]);
    expect(staysOf(five, [], "alike").map(({ worth }) => worth)).toEqual([memory * STAY.worthOfFive]);
    expect(staysOf(study, [], "none")).toEqual([]);
  });

  it("is not where fingers take turns on each key, and ends before it", () => {
    const again = [67, 67, 67, 67, 64, 64, 64, 64, 60, 60, 60, 60];
    expect(found(studyOfKeys([...again, ...again], "right", { tempo: 110 }))).toEqual([]);
    const sizes = (keys: readonly number[], tempo: number) =>
      found(studyOfKeys(keys, "right", { tempo })).map((keys) => keys.flat().length);
    expect(sizes([...CHORD, ...again], 110)).toEqual([CHORD.length]);
  });

  it("is where the hand is set down on five neighbouring keys, sooner than on others, and not where it lay over them before or goes on by step", () => {
    const five = [60, 64, 62, 65, 67, 64, 60];
    expect(found(studyOfKeys(five)).map((keys) => keys.flat().length)).toEqual([7]);
    expect(found(studyOfKeys([79, ...five])).map((keys) => keys.flat().length)).toEqual([7]);
    expect(found(studyOfKeys([59, ...five]))).toEqual([]);
    expect(found(studyOfKeys([69, ...five]))).toEqual([]);
    expect(found(studyOfKeys([...five, 59]))).toEqual([]);
    expect(found(studyOfKeys([...five, 81])).map((keys) => keys.flat().length)).toEqual([7]);
    expect(found(studyOfKeys([60, 65, 62, 67, 70, 65, 60]))).toEqual([]);
    const fingers = (keys: readonly number[], side: "right" | "left") => {
      const study = studyOfKeys(keys, side);
      const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
      return notesAsked(study).map((id) => fingering[id]);
    };
    for (const by of [0, 2, 4, 5, 7]) {
      const keys = [48, 51, 55, 51, 50, 53, 48].map((key) => key + by);
      expect(fingers(keys, "left")).toEqual([5, 3, 1, 3, 4, 2, 5]);
      expect(fingers(keys, "right")).toEqual([1, 3, 5, 3, 2, 4, 1]);
    }
  });

  it("takes five keys with five fingers from any key, black or white, whatever their order", () => {
    for (const tonic of [55, 56, 58, 59, 61, 66])
      for (const order of [
        [0, 4, 1, 3, 2, 4, 0],
        [4, 2, 3, 1, 2, 0, 1, 4],
        [0, 2, 1, 3, 2, 4, 3, 1, 0],
      ])
        for (const [side, shape] of [
          ["right", [0, 2, 3, 5, 7]],
          ["left", [0, 2, 4, 5, 7]],
        ] as const) {
          const study = studyOfKeys(
            order.map((place) => tonic + shape[place]!),
            side,
          );
          const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
          const asked = order.map((place) => (side === "right" ? place + 1 : 5 - place));
          expect(notesAsked(study).map((id) => fingering[id])).toEqual(asked);
        }
  });

  it("lets each key keep its finger", () => {
    const study = studyOfKeys(CHORD);
    const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
    const fingers = notesAsked(study).map((id) => fingering[id]);
    for (const of of found(study)[0]!) expect(new Set(of.map((place) => fingers[place])).size).toBe(1);
    const free = bestLeaning(study, balanced, { memories: [] }, 1)[0]!.fingering;
    expect(notesAsked(study).map((id) => free[id])).not.toEqual(fingers);
  });
});
