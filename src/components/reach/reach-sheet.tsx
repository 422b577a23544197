"use client";

import { parseAsInteger, parseAsString, parseAsStringLiteral, useQueryState } from "nuqs";
import { useMemo } from "react";
import { SIDES, type Side } from "@/core/hand/finger";
import { handOfMeasured } from "@/core/hand/measured";
import { pairName, type Pair } from "@/core/hand/pair";
import { instrument } from "@/core/keyboard/instrument";
import { placementsOf, type Placements } from "@/core/placement/placements";
import { SHAPES } from "@/core/placement/ways";
import { KEY_COLOURS, reachSheet } from "@/core/reach/sheet";
import type { HandsData } from "@/server/types";
import { HAND_NAMES } from "../hands/hand-form";
import { restText } from "../hands/rest-text";
import { Choice } from "../ui/choice";
import { INPUT_LOOK } from "../ui/field";
import { GradeKey } from "./grade-look";
import { PlacementShown } from "./placement-shown";
import { SheetTable } from "./sheet-table";
import { againstOf, AGAINST_NONE, choicesAgainst } from "./against";

const SHOWN = ["right", "left", "both"] as const;
const SHAPES_ASKED = ["any", ...SHAPES] as const;

/** Every finger pair against every interval for one hand or both, and against another hand, day or keyboard. */
export function ReachSheet({ data }: { data: HandsData }) {
  const asked = useAsked();
  const { shown, shape, colours, against } = asked;
  const [cell, setCell] = useQueryState("cell", parseAsString.withDefault("1-5"));
  const [semitones, setSemitones] = useQueryState("semitones", parseAsInteger.withDefault(12));
  const [side, setSide] = useQueryState(
    "tapped",
    parseAsStringLiteral(SIDES).withDefault(shown === "left" ? "left" : "right"),
  );
  const sides: readonly Side[] = shown === "both" ? ["left", "right"] : [shown];
  const allowed = useMemo(() => (shape === "any" ? {} : { shapes: [shape] }), [shape]);
  const own = useMemo(() => placementsNow(data), [data]);
  const tappedSide = sides.includes(side) ? side : sides[0]!;
  const choose = (of: Side, pair: Pair, interval: number): void => {
    void setSide(of);
    void setCell(pairName(...pair));
    void setSemitones(interval);
  };
  return (
    <div>
      <Conditions data={data} asked={asked} />
      {data.rests.map((rest) => (
        <p key={rest.id} className="pt-1 text-sm">
          {restText(rest)} {rest.fingers.length === 1 ? "is" : "are"} resting and{" "}
          {rest.fingers.length === 1 ? "has" : "have"} no answers here.
        </p>
      ))}
      <div className={`mt-3 grid gap-6 ${shown === "both" ? "2xl:grid-cols-2" : ""}`}>
        {sides.map((of) => (
          <section key={of} aria-label={HAND_NAMES[of]}>
            <h2 className="font-serif text-xl">{HAND_NAMES[of]}</h2>
            <SheetTable
              side={of}
              rows={reachSheet(own[of], colours, allowed)}
              against={reachAgainst(data, own, against, of, colours, allowed)}
              chosen={of === tappedSide ? { pair: cell, semitones } : null}
              onChoose={(pair, interval) => choose(of, pair, interval)}
            />
          </section>
        ))}
      </div>
      <div className="mt-2 flex flex-wrap items-center justify-between gap-3">
        <GradeKey />
        {against !== AGAINST_NONE && (
          <p className="text-sm text-soft">
            The small square is {choicesAgainst(data).find((c) => c.value === against)?.text}; where the two differ the
            cell is framed.
          </p>
        )}
      </div>
      <PlacementShown
        placements={own[tappedSide]}
        pair={cell}
        semitones={semitones}
        colours={colours}
        allowed={allowed}
      />
    </div>
  );
}

/** What the sheet is asked for; kept in the address. */
function useAsked() {
  const [shown, setShown] = useQueryState("hand", parseAsStringLiteral(SHOWN).withDefault("right"));
  const [shape, setShape] = useQueryState("shape", parseAsStringLiteral(SHAPES_ASKED).withDefault("any"));
  const [colours, setColours] = useQueryState("keys", parseAsStringLiteral(KEY_COLOURS).withDefault("white-white"));
  const [against, setAgainst] = useQueryState("against", parseAsString.withDefault(AGAINST_NONE));
  return { shown, setShown, shape, setShape, colours, setColours, against, setAgainst };
}

/** Which hand, shape and keys, and against what. */
function Conditions({ data, asked }: { data: HandsData; asked: ReturnType<typeof useAsked> }) {
  const { shown, setShown, shape, setShape, colours, setColours, against, setAgainst } = asked;
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-2 pt-3">
      <Choice
        label="Hand"
        value={shown}
        options={[
          ["right", "Right"],
          ["left", "Left"],
          ["both", "Both"],
        ]}
        onChange={(v) => void setShown(v)}
      />
      <Choice
        label="Shape of the fingers"
        value={shape}
        options={[
          ["any", "Any shape"],
          ["natural", "Natural"],
          ["curled", "Curled"],
          ["flat", "Flat"],
        ]}
        onChange={(v) => void setShape(v)}
      />
      <label className="flex items-center gap-2 text-sm">
        Keys
        <select
          className={INPUT_LOOK}
          value={colours}
          onChange={(e) => void setColours(e.target.value as typeof colours)}
        >
          {KEY_COLOURS.map((pair) => (
            <option key={pair} value={pair}>
              {pair.replace("-", " to ")}
            </option>
          ))}
        </select>
      </label>
      <label className="flex items-center gap-2 text-sm">
        Against
        <select className={INPUT_LOOK} value={against} onChange={(e) => void setAgainst(e.target.value)}>
          {choicesAgainst(data).map(({ value, text }) => (
            <option key={value} value={value}>
              {text}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}

function placementsNow(data: HandsData): Readonly<Record<Side, Placements>> {
  const on = instrument(data.instruments[0]!.octaveWidth);
  const of = (side: Side): Placements => {
    const resting = data.rests.filter((r) => r.side === side).flatMap((r) => r.fingers);
    return placementsOf(handOfMeasured(side, data.measurements[side][0]?.measured ?? {}, resting), on);
  };
  return { right: of("right"), left: of("left") };
}

function reachAgainst(
  data: HandsData,
  own: Readonly<Record<Side, Placements>>,
  against: string,
  side: Side,
  colours: (typeof KEY_COLOURS)[number],
  allowed: Parameters<typeof reachSheet>[2],
) {
  const other = againstOf(data, own[side], against);
  return other ? reachSheet(other, colours, allowed) : null;
}
