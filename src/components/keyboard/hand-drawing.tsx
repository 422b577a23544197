import { poseOf, type FingerDrawn, type Point, type Pose, type Wrist } from "@/core/hand/pose";
import type { Finger, Side } from "@/core/hand/finger";
import type { Hand } from "@/core/hand/hand";
import { flipped } from "./keyboard";

interface Props {
  readonly hand: Hand;
  readonly contacts: ReadonlyMap<Finger, Point>;
  /** Where a placement has the wrist; straight behind the fingers without one. */
  readonly wrist?: Wrist | undefined;
  /** Fingers that strike now; those that only hold are drawn hollow. */
  readonly striking: ReadonlySet<Finger>;
}

/** A hand from above in millimetres: outline, tips of their width, the wrist, and the axis from it to the middle finger. */
export function HandDrawing({ hand, contacts, wrist, striking }: Props) {
  const pose = poseOf(hand, contacts, wrist);
  return pose && <HandShape pose={pose} side={hand.side} striking={striking} />;
}

/** The same of a pose. */
export function HandShape({ pose, side, striking }: { pose: Pose; side: Side; striking: ReadonlySet<Finger> }) {
  return (
    <g data-hand={side}>
      <g opacity={0.92}>
        <Outline pose={pose} grow={1.1} colour="var(--ink)" />
        <Outline pose={pose} grow={0} colour="var(--skin)" />
      </g>
      <Axis pose={pose} />
      {pose.fingers.map((f) => (
        <Tip key={f.finger} drawn={f} striking={striking.has(f.finger)} />
      ))}
    </g>
  );
}

/** Where a hand will be next, faintly: the tips that will strike, and the middle of the wrist. */
export function HandToCome({ pose, striking }: { pose: Pose; striking: ReadonlySet<Finger> }) {
  return (
    <g data-next fill="none" stroke="var(--ink)" strokeWidth={0.9} strokeDasharray="2 2" opacity={0.6}>
      {pose.fingers
        .filter((f) => striking.has(f.finger))
        .map(({ finger, tip, knuckle, width }) => (
          <g key={finger}>
            <circle cx={tip.x} cy={flipped(tip.y)} r={width / 2 - 1} />
            <line x1={tip.x} y1={flipped(tip.y) + width / 2} x2={knuckle.x} y2={flipped(knuckle.y)} opacity={0.5} />
          </g>
        ))}
    </g>
  );
}

/** Another way for a hand to lie, over the one it has: its fingers and wrist in dashes. */
export function HandTried({ pose: { fingers, wrist } }: { pose: Pose }) {
  return (
    <g data-tried fill="none" stroke="var(--velvet)" strokeWidth={1.4} strokeDasharray="4 2.5">
      {fingers.map(({ finger, tip, knuckle, width }) => (
        <g key={finger}>
          <circle cx={tip.x} cy={flipped(tip.y)} r={width / 2 - 1} />
          <line x1={tip.x} y1={flipped(tip.y)} x2={knuckle.x} y2={flipped(knuckle.y)} />
          <line x1={knuckle.x} y1={flipped(knuckle.y)} x2={wrist.x} y2={flipped(wrist.y)} strokeWidth={0.7} />
        </g>
      ))}
      <circle cx={wrist.x} cy={flipped(wrist.y)} r={5} />
    </g>
  );
}

/** mm of forearm drawn behind the wrist. */
const ARM = 60;

/** All strokes in one colour make one shape; drawn twice, the wider below, they have an outline. */
function Outline({ pose: { fingers, wrist }, grow, colour }: { pose: Pose; grow: number; colour: string }) {
  const [thumb, ...others] = fingers;
  const knuckles = others.map((f) => `${f.knuckle.x},${flipped(f.knuckle.y)}`).join(" L ");
  const side = Math.sign(others[3]!.knuckle.x - others[0]!.knuckle.x);
  const heel = flipped(wrist.y);
  const arm = heel + ARM;
  const palm =
    `M ${knuckles} L ${wrist.x + side * 22},${heel - 8} L ${wrist.x + side * 19},${heel + 12} L ${wrist.x + side * 21},${arm} ` +
    `L ${wrist.x - side * 21},${arm} L ${wrist.x - side * 18},${heel + 12} L ${thumb!.knuckle.x},${flipped(thumb!.knuckle.y)} Z`;
  return (
    <g stroke={colour} fill={colour} strokeLinecap="round" strokeLinejoin="round">
      <path d={palm} strokeWidth={16 + 2 * grow} />
      {fingers.map(({ finger, tip, knuckle, width }) => (
        <line
          key={finger}
          x1={knuckle.x}
          y1={flipped(knuckle.y)}
          x2={tip.x}
          y2={flipped(tip.y)}
          strokeWidth={width + 2 * grow}
        />
      ))}
    </g>
  );
}

function Axis({ pose: { fingers, wrist } }: { pose: Pose }) {
  const middle = fingers[2]!;
  return (
    <g stroke="var(--ink)" strokeWidth={0.6} opacity={0.55}>
      <line
        x1={wrist.x}
        y1={flipped(wrist.y)}
        x2={middle.knuckle.x}
        y2={flipped(middle.knuckle.y)}
        strokeDasharray="3 3"
      />
      <circle cx={wrist.x} cy={flipped(wrist.y)} r={3} fill="none" />
    </g>
  );
}

function Tip({ drawn: { finger, tip, width, playing }, striking }: { drawn: FingerDrawn; striking: boolean }) {
  const y = flipped(tip.y);
  const fill = striking ? "var(--ink)" : "var(--skin)";
  return (
    <g data-finger={finger} data-playing={playing}>
      {playing && <circle cx={tip.x} cy={y} r={width / 2 - 1} fill={fill} stroke="var(--ink)" strokeWidth={1.4} />}
      <text
        x={tip.x}
        y={y + 3.4}
        fontSize={playing ? 10 : 7}
        fontWeight={playing ? 700 : 400}
        textAnchor="middle"
        fill={striking ? "var(--paper)" : "var(--ink)"}
        opacity={playing ? 1 : 0.65}
        fontFamily="var(--font-sans)"
      >
        {finger}
      </text>
    </g>
  );
}
