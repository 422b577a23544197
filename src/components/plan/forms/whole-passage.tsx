import { counted } from "@/core/counted";
import type { HandPlan } from "@/core/motion/plan/hand-plan";

/** What the plan comes to over the whole passage, hand by hand. */
export function WholePassage({ hands }: { hands: readonly HandPlan[] }) {
  return (
    <section aria-label="Over the whole passage">
      <h3 className="font-serif text-lg">Over the whole passage</h3>
      <ul>
        {hands.map((hand) => (
          <li key={hand.side} className="py-0.5">
            {inWords(hand)}
          </li>
        ))}
      </ul>
    </section>
  );
}

function inWords({ side, body, closing, circles, frozen, impulses, turns }: HandPlan): string {
  const longest = Math.max(0, ...closing.kept.map(({ ms }) => ms));
  const parts = [
    `${side === "right" ? "Right" : "Left"}: the wrist travels ${body.travel.toFixed(0)} mm along the keys, ${body.range.toFixed(0)} between its ends`,
    `${counted(impulses.length, "group", "groups")}, ${counted(circles.length, "circle", "circles")} among them`,
    `turns: ${turns.filter((t) => t.kind === "single").length} single, ${turns.filter((t) => t.kind === "double").length} double`,
    `open beyond comfort ${Math.round(100 * closing.openShare)} % of the time`,
    longest > 0 && `at longest ${(longest / 1000).toFixed(1)} s without time to close`,
    frozen && `at one height for ${(frozen.ms / 1000).toFixed(1)} s at most`,
    body.narrowest ? elbow(body) : "the elbow is free",
    body.trunk && `the trunk goes along by ${body.trunk.mm.toFixed(0)} mm`,
  ];
  return `${parts.filter(Boolean).join("; ")}.`;
}

function elbow({ narrowest, octavesToFree }: HandPlan["body"]): string {
  const free =
    octavesToFree === null
      ? ""
      : `, free ${octavesToFree === 1 ? "an octave" : `${octavesToFree} octaves`} farther out`;
  return `${narrowest!.past > 0 ? "past the middle of the body" : "in front of the body"}, the elbow lacks ${narrowest!.mm.toFixed(0)} mm${free}`;
}
