import type { Side } from "@/core/hand/finger";
import type { DrillChosen } from "@/core/practice/choice";
import type { Drill } from "@/core/practice/drill";

interface Props {
  readonly proposed: readonly DrillChosen[];
  readonly all: readonly { readonly side: Side; readonly drills: readonly Drill[] }[];
  readonly chosen: string;
  readonly onChoose: (side: Side, drill: Drill) => void;
}

/** The few drills that are proposed, with why, and all the others behind them. */
export function DrillList({ proposed, all, chosen, onChoose }: Props) {
  const sideOf = ({ id }: Drill): Side =>
    all.find(({ drills }) => drills.some((one) => one.id === id))?.side ?? "right";
  return (
    <section aria-label="Drills">
      <h2 className="font-serif text-lg">Drills</h2>
      <ul>
        {proposed.map(({ drill, reason }) => (
          <li key={drill.id}>
            <Choice drill={drill} isChosen={drill.id === chosen} onChoose={() => onChoose(sideOf(drill), drill)}>
              <span className="block text-soft">{reason}</span>
            </Choice>
          </li>
        ))}
      </ul>
      {all.map(({ side, drills }) => (
        <details key={side} className="mt-2">
          <summary className="min-h-11 cursor-pointer py-2.5 underline">
            All drills of the {side} hand ({drills.length})
          </summary>
          <ul>
            {drills.map((drill) => (
              <li key={drill.id}>
                <Choice drill={drill} isChosen={drill.id === chosen} onChoose={() => onChoose(side, drill)} />
              </li>
            ))}
          </ul>
        </details>
      ))}
    </section>
  );
}

interface ChoiceProps {
  readonly drill: Drill;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
  readonly children?: React.ReactNode;
}

function Choice({ drill, isChosen, onChoose, children }: ChoiceProps) {
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={onChoose}
      className="min-h-11 w-full border-b border-hairline py-1 text-left hover:text-velvet aria-pressed:border-velvet aria-pressed:font-medium"
    >
      {drill.name}
      {children}
    </button>
  );
}
