import { WARNING_WEIGHT } from "../../physics";
import { eachHand, whole } from "./warning";

/** A forearm that turns to and fro faster than is easy. */
export const rocking = eachHand("rocking", "Hz", ({ rockings, hand: { rotation } }) =>
  rockings.flatMap(({ rate, grade, amplitude, notes }) =>
    grade === "easy"
      ? []
      : [
          {
            note: notes[0]!,
            amount: rate,
            words: `the forearm rocks ${rate.toFixed(1)} times a second, ${whole(amplitude)} degrees to each side; up to ${rotation.ease.toFixed(1)} is easy, ${rotation.fails.toFixed(1)} the end`,
            change: "stay closer to the keys so that it turns less, or turn once for several notes",
            cost:
              ((100 * (rate - rotation.ease)) / (rotation.fails - rotation.ease)) *
              Math.min(1, notes.length / WARNING_WEIGHT.rockingNotes),
          },
        ],
  ),
);
