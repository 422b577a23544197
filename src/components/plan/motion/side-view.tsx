import type { HandMoment } from "@/core/motion/plan/moment";
import type { Side } from "@/core/hand/finger";
import { KEYBOARD } from "@/core/physics";

/** A hand as it is seen from the player's right. */
export interface SeenFromSide {
  readonly side: Side;
  readonly moment: HandMoment;
}

/** mm over the keys at which loose fingers are drawn. A choice of the drawing. */
const LOOSE = 6;

/** mm under the top of the white keys at which digits stand, clear of the black ones. */
const DIGITS = 16;
/** mm over the keys at which a level wrist stands. A choice of the drawing. */
const LEVEL = 62;
const [LEFT, RIGHT, TOP, BOTTOM] = [-95, 160, -112, 34];

/**
 * The hands from the player's right, to scale: the fallboard at the right, the wrist over its level, the knuckles between
 * it and the tips, and a bar across the wrist that tilts with the forearm's turn.
 */
export function SideView({ hands }: { hands: readonly SeenFromSide[] }) {
  const inFront = hands.find(({ side }) => side === "right") ?? hands[0];
  return (
    <>
      {inFront && (
        <p aria-hidden className="text-xs leading-tight whitespace-nowrap tabular-nums">
          {inShort(inFront.moment)}
        </p>
      )}
      <svg
        viewBox={`${LEFT} ${TOP} ${RIGHT - LEFT} ${BOTTOM - TOP}`}
        className="max-h-[min(15rem,32dvh)] w-full"
        role="img"
        aria-label={`From the player’s right. ${hands.map(inWords).join(" ")}`}
      >
        <rect
          x={0}
          y={0}
          width={KEYBOARD.whiteLength}
          height={22}
          fill="var(--key-white)"
          stroke="#8c7f70"
          strokeWidth={0.6}
        />
        <rect
          x={KEYBOARD.blackStart}
          y={-KEYBOARD.blackHeight}
          width={KEYBOARD.whiteLength - KEYBOARD.blackStart}
          height={KEYBOARD.blackHeight}
          fill="var(--key-black)"
        />
        <line
          x1={KEYBOARD.whiteLength}
          x2={KEYBOARD.whiteLength}
          y1={TOP + 14}
          y2={22}
          stroke="var(--ink-soft)"
          strokeWidth={1}
        />
        <line x1={LEFT} x2={40} y1={-LEVEL} y2={-LEVEL} stroke="var(--hairline)" strokeDasharray="3 3" />
        {hands.map((hand) => (
          <Profile key={hand.side} {...hand} faint={hand !== inFront} />
        ))}
      </svg>
    </>
  );
}

function Profile({
  side,
  moment: { pose, height, supination, onBlack },
  faint,
}: SeenFromSide & { readonly faint: boolean }) {
  const wrist = { x: pose.wrist.y, y: -LEVEL - height };
  const tilt = (side === "right" ? 1 : -1) * supination;
  return (
    <g
      data-side-view={side}
      opacity={faint ? 0.45 : 1}
      fill="none"
      stroke="var(--ink)"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      <line x1={LEFT} y1={-LEVEL - height / 3} x2={wrist.x} y2={wrist.y} strokeWidth={1.6} />
      {pose.fingers.map(({ finger, tip, knuckle, playing }) => {
        const ground = onBlack.includes(finger) ? -KEYBOARD.blackHeight : 0;
        const above = tip.y > KEYBOARD.blackStart ? -KEYBOARD.blackHeight - LOOSE : -LOOSE;
        const end = { x: tip.y, y: playing ? ground : above };
        const top = { x: knuckle.y, y: wrist.y + (finger === 1 ? 22 : -6) };
        const bend = { x: (top.x + end.x) / 2 + 8, y: Math.min(top.y, end.y) + (finger === 1 ? 10 : 4) };
        return (
          <g key={finger} strokeWidth={playing ? 1.6 : 0.8} opacity={playing ? 1 : 0.6}>
            <path d={`M ${wrist.x} ${wrist.y} L ${top.x} ${top.y} L ${bend.x} ${bend.y} L ${end.x} ${end.y}`} />
            {playing && (
              <text
                x={end.x}
                y={DIGITS}
                fontSize={12}
                fontWeight={700}
                textAnchor="middle"
                fill="var(--ink)"
                stroke="none"
                fontFamily="var(--font-sans)"
              >
                {finger}
              </text>
            )}
          </g>
        );
      })}
      <circle cx={wrist.x} cy={wrist.y} r={4} fill="var(--paper)" strokeWidth={1.4} />
      <g transform={`translate(${wrist.x} ${wrist.y - 20}) rotate(${tilt})`}>
        <line x1={-14} x2={14} y1={0} y2={0} strokeWidth={1.6} />
        <line x1={14} x2={14} y1={0} y2={-4} strokeWidth={1.2} />
      </g>
    </g>
  );
}

function signed(value: number): string {
  const whole = Math.round(value);
  return whole < 0 ? `−${-whole}` : `+${whole}`;
}

function inShort({ height, supination }: HandMoment): string {
  return `wrist ${signed(height)} mm, turn ${Math.abs(Math.round(supination))}° to ${supination < 0 ? "the thumb" : "finger 5"}`;
}

function inWords({ side, moment: { height, supination } }: SeenFromSide): string {
  return `${side === "right" ? "Right" : "Left"} wrist ${signed(height)} mm, turned ${Math.abs(Math.round(supination))} degrees towards the ${supination < 0 ? "thumb" : "little finger"}.`;
}
