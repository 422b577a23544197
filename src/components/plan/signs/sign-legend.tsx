import { SIGNS } from "@/core/motion/marks/signs";
import { SignDrawing } from "../../score/plan/sign-drawing";

/** The key of the signs: of all, or of some. */
export function SignLegend({ signs = SIGNS }: { signs?: typeof SIGNS }) {
  return (
    <dl className="grid grid-cols-2 gap-x-3 gap-y-0.5 text-xs" aria-label="Key of the signs">
      {signs.map(({ id, words }) => (
        <div key={id} className="flex items-center gap-1.5">
          <dt>
            <svg width={20} height={18} viewBox="-10 -9 20 18" aria-hidden>
              {id === "group" ? (
                <path d="M -8 3 v -5 H 8 v 5" fill="none" stroke="var(--ink-soft)" strokeWidth={1} />
              ) : (
                <SignDrawing sign={id} />
              )}
            </svg>
          </dt>
          <dd>{words}</dd>
        </div>
      ))}
    </dl>
  );
}
