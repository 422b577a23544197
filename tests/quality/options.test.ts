import { drain } from "@/core/drain";
import { differences } from "@/core/fingering/study/fingering";
import { judge, notesAsked } from "@/core/fingering/study/study";
import { ideasOf, isOtherIdea } from "@/core/options/ideas";
import { offering } from "@/core/options/offering";
import { OFFER } from "@/core/physics";
import { bestOf, studyOfCase } from "../../quality/grade";
import { casesOf, type KindCase } from "../../quality/kind";
import { LADDER } from "../../quality/ladder";

/** The project's own passages: the ladder, and every invented case with enough notes to be played another way. */
function passages(): readonly KindCase[] {
  const long = casesOf("kinds").filter(({ music }) => music.split(" ").length >= 12);
  return [...LADDER.map(({ passage }) => passage), ...long];
}

let alternatives = 0;

describe("what is shown beside the best", () => {
  it("is looked at on more than a hundred passages", () => {
    expect(passages().length).toBeGreaterThan(100);
  });

  it.each(passages().map((given) => [given.name, given.side, given] as const))(
    "is another idea in more than a note or two: %s, %s",
    (_name, _side, given) => {
      const study = studyOfCase(given);
      const asked = notesAsked(study);
      const offers = drain(offering(study, {}, 4));
      const ideas = offers.map(({ judged }) => ideasOf(study, judged));
      offers.forEach((offer, i) => {
        for (let j = 0; j < i; j++) {
          const many = differences(asked, offer.fingering, offers[j]!.fingering).length;
          expect(many).toBeGreaterThanOrEqual(Math.min(OFFER.leastNotes, Math.ceil(asked.length / 3)));
          expect(isOtherIdea(ideas[i]!, ideas[j]!)).toBe(true);
        }
      });
      alternatives += offers.length - 1;
      const least = judge(study, bestOf(study, false)).strain;
      for (const { judged, sentence } of offers)
        expect(sentence.startsWith("The least strain in all.")).toBe(judged.strain <= least + OFFER.equal);
    },
  );

  it("is there at all", () => {
    expect(alternatives).toBeGreaterThanOrEqual(40);
  });
});
