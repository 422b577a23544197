import { drain } from "@/core/drain";
import { differences } from "@/core/fingering/study/fingering";
import { notesAsked } from "@/core/fingering/study/study";
import { ideasOf, isOtherIdea } from "@/core/options/ideas";
import { offering } from "@/core/options/offering";
import { OFFER } from "@/core/physics";
import { studyOfCase } from "../../quality/grade";
import { casesOf, type KindCase } from "../../quality/kind";
import { LADDER } from "../../quality/ladder";

/** Thirty of the project's own passages: the ladder, and the first of ten kinds with enough notes to be played another way. */
function thirty(): readonly KindCase[] {
  const firsts = new Map<string, KindCase>();
  for (const given of casesOf("kinds"))
    if (!firsts.has(given.kind) && given.music.split(" ").length >= 12) firsts.set(given.kind, given);
  return [...LADDER.map(({ passage }) => passage), ...firsts.values()].slice(0, 30);
}

let alternatives = 0;

describe("what is shown beside the best", () => {
  it("is looked at on thirty passages", () => {
    expect(thirty()).toHaveLength(30);
  });

  it.each(thirty().map((given) => [given.name, given] as const))(
    "is another idea in more than a note or two: %s",
    (_, given) => {
      const study = studyOfCase(given);
      const asked = notesAsked(study);
      const offers = drain(offering(study, {}, 4));
      const ideas = offers.map(({ judged }) => ideasOf(study, judged));
      offers.forEach((offer, i) => {
        for (let j = 0; j < i; j++) {
          const many = differences(asked, offer.fingering, offers[j]!.fingering).length;
          expect(many).toBeGreaterThanOrEqual(Math.min(OFFER.leastNotes, Math.ceil(asked.length / 3)));
          expect(isOtherIdea(ideas[i]!, ideas[j]!)).toBe(true);
          alternatives++;
        }
      });
      if (offers[0]!.sentence.startsWith("The least strain in all."))
        for (const offer of offers)
          expect(offer.judged.strain).toBeGreaterThanOrEqual(offers[0]!.judged.strain - OFFER.equal);
    },
  );

  it("is there at all", () => {
    expect(alternatives).toBeGreaterThanOrEqual(10);
  });
});
