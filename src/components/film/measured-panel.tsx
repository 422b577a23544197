import { measuredInFilm, type HandMarks } from "@/core/film/hand-marked";
import type { Side } from "@/core/hand/finger";
import type { Pose } from "@/core/hand/pose";

interface Props {
  readonly side: Side;
  /** mm on the keyboard. */
  readonly marks: HandMarks;
  readonly planned: Pose | null;
}

/** What the picture shows of the hand, in mm and degrees, beside the plan's at that onset. */
export function MeasuredPanel({ side, marks, planned }: Props) {
  const { openings, points, turned, turnedPlanned } = measuredInFilm(side, marks, planned);
  return (
    <section aria-label="Measured" className="border-t border-hairline pt-2">
      <h2 className="font-serif text-lg">Measured</h2>
      <table className="w-full tabular-nums">
        <thead className="text-soft">
          <tr>
            <th className="text-left font-normal" scope="col">
              Opening
            </th>
            <th className="text-right font-normal" scope="col">
              film
            </th>
            <th className="text-right font-normal" scope="col">
              plan
            </th>
          </tr>
        </thead>
        <tbody>
          {openings.map(({ from, to, mm, planned: there }) => (
            <tr key={`${from}${to}`} className="border-b border-hairline">
              <td>
                {from} to {to}
              </td>
              <td className="text-right">{mm.toFixed(0)} mm</td>
              <td className="text-right">{there === null ? "–" : `${there.toFixed(0)} mm`}</td>
            </tr>
          ))}
          {turned !== null && (
            <tr className="border-b border-hairline">
              <td>Turned at the wrist</td>
              <td className="text-right">{degrees(turned)}</td>
              <td className="text-right">{turnedPlanned === null ? "–" : degrees(turnedPlanned)}</td>
            </tr>
          )}
        </tbody>
      </table>
      {points.length > 0 && (
        <ul className="mt-1">
          {points.map(({ name, right, in: in_, mm }) => (
            <li key={name}>
              {name}: {mm.toFixed(0)} mm from the plan’s{offWords(right, in_)}
            </li>
          ))}
        </ul>
      )}
      {!planned && <p className="text-soft">Say at which onset the picture is to see the plan’s hand beside it.</p>}
    </section>
  );
}

function degrees(of: number): string {
  const whole = Math.round(of);
  return `${whole < 0 ? "−" : ""}${Math.abs(whole)}°`;
}

function offWords(right: number, in_: number): string {
  const parts = [
    [right, "to the right", "to the left"],
    [in_, "farther in", "nearer to the edge"],
  ] as const;
  const said = parts.flatMap(([mm, over, under]) =>
    Math.abs(mm) < 0.5 ? [] : [`${Math.abs(mm).toFixed(0)} ${mm > 0 ? over : under}`],
  );
  return said.length === 0 ? "" : ` (${said.join(", ")})`;
}
