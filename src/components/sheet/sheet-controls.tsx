import type { OptionData } from "@/server/types";
import { PLAN_LANES } from "../plan/lanes/lanes";
import { Choice } from "../ui/choice";
import type { SheetInHand } from "./use-sheet";

interface Props {
  readonly sheet: SheetInHand;
  readonly options: readonly OptionData[];
}

/** Whose digits, on which paper, how large, and what besides. */
export function SheetControls({ sheet: { asked, ask, option, laneWanted }, options }: Props) {
  const lanes = PLAN_LANES.map(({ id }) => id as string);
  const toggle = (id: string): void =>
    void ask({ lanes: lanes.filter((one) => (one === id ? !laneWanted(one) : laneWanted(one))).join(",") || null });
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-2 text-sm">
      <Choice
        label="Digits"
        value={option?.name ?? ""}
        options={options.map(({ name }) => [name, name] as const)}
        onChange={(name) => void ask({ option: name })}
      />
      <Choice
        label="Paper"
        value={asked.paper}
        options={[
          ["a4", "A4"],
          ["letter", "Letter"],
        ]}
        onChange={(paper) => void ask({ paper })}
      />
      <Choice
        label="It"
        value={asked.lies ? "lies" : "stands"}
        options={[
          ["stands", "stands"],
          ["lies", "lies"],
        ]}
        onChange={(way) => void ask({ lies: way === "lies" || null })}
      />
      <Choice
        label="Notes"
        value={asked.size}
        options={[
          ["usual", "usual"],
          ["large", "large"],
        ]}
        onChange={(size) => void ask({ size })}
      />
      <label className="flex min-h-11 items-center gap-2">
        <input type="checkbox" checked={asked.signs} onChange={({ target }) => void ask({ signs: target.checked })} />{" "}
        Signs
      </label>
      <fieldset className="flex flex-wrap items-center gap-x-3">
        <legend className="sr-only">Lanes of the hand plan</legend>
        {PLAN_LANES.map(({ id, label }) => (
          <label key={id} className="flex min-h-11 items-center gap-1.5">
            <input type="checkbox" checked={laneWanted(id)} onChange={() => toggle(id)} /> {label}
          </label>
        ))}
      </fieldset>
    </div>
  );
}
