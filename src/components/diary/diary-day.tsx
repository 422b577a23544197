import { counted } from "@/core/counted";
import { format, parseISO } from "date-fns";
import Link from "next/link";
import type { BlockData, DiaryDay, DiaryNoteData, TakesOfDay } from "@/server/types";
import { BelongingMenu } from "../belongings/belonging-menu";
import { blockSaid } from "../practice/said";

interface Props {
  readonly day: DiaryDay;
  readonly titles: ReadonlyMap<string, string>;
  /** Whether all of it is of one passage, which then need not be named. */
  readonly isOfOne: boolean;
}

/** One day: what was done, how it went, what was decided, and what was written. */
export function DiaryDayEntry({ day: { day, blocks, takes, decided, notes, minutes }, titles, isOfOne }: Props) {
  const done = blocks.filter(({ state }) => state === "done");
  const open = blocks.filter(({ state, doing }) => state === "planned" && doing !== "check" && doing !== "rest");
  const titleOf = (id: string | null): string => (id === null || isOfOne ? "" : (titles.get(id) ?? ""));
  return (
    <section aria-label={format(parseISO(day), "d MMMM yyyy")} className="mt-5 break-inside-avoid">
      <h2 className="flex items-baseline gap-3 border-b border-hairline font-serif text-xl">
        {format(parseISO(day), "EEEE d MMMM yyyy")}
        {minutes > 0 && <span className="text-sm text-soft">{counted(minutes, "minute")}</span>}
      </h2>
      <ul>
        {decided.map((one, i) => (
          <li key={i} className="py-1">
            <span className="font-medium">{DECIDED[one.kind] ?? one.kind}</span>
            {one.option && ` ${one.option}`}
            {titleOf(one.passageId) && <Of id={one.passageId} title={titleOf(one.passageId)} />}
            {one.reason && <span className="text-soft">: {one.reason}</span>}
            <span className="text-sm text-soft"> ({one.author})</span>
          </li>
        ))}
        {takes.map((one) => (
          <li key={one.passageId} className="py-1">
            {takesSaid(one)}
            {titleOf(one.passageId) && <Of id={one.passageId} title={titleOf(one.passageId)} />}
          </li>
        ))}
        {done.map((block) => (
          <li key={block.id} className="py-1">
            {isOfOne ? blockSaid({ ...block, passage: null }) : blockSaid(block)}
            <span className="text-soft">{doneSaid(block)}</span>
            {block.done?.note && <p className="border-l border-hairline pl-3 font-serif italic">{block.done.note}</p>}
          </li>
        ))}
        {notes.map((note) => (
          <li key={note.id} className="py-1">
            <Note note={note} title={titleOf(note.passageId)} />
          </li>
        ))}
        {open.length > 0 && (
          <li className="py-1 text-sm text-soft">
            Planned and not done: {open.map((block) => blockSaid(block)).join("; ")}.
          </li>
        )}
      </ul>
    </section>
  );
}

const DECIDED: Readonly<Record<string, string>> = {
  undecided: "Left open",
  taken: "Taken:",
  reviewed: "Looked at again:",
  reopened: "Opened again",
  known: "In the fingers:",
};

function Of({ id, title }: { readonly id: string; readonly title: string }) {
  return (
    <>
      {", "}
      <Link href={`/diary?passage=${id}`} className="font-serif italic hover:text-velvet">
        {title}
      </Link>
    </>
  );
}

/** "5 takes of A and B, 3 clean, the fastest of those at ♩ = 96; tension up to 4". */
function takesSaid({ takes, clean, cleanTempo, tension, options }: TakesOfDay): string {
  const fastest =
    cleanTempo === null
      ? ""
      : clean === 1
        ? `, at ♩ = ${Math.round(cleanTempo)}`
        : `, the fastest of those at ♩ = ${Math.round(cleanTempo)}`;
  const felt = tension === null ? "" : `; tension up to ${tension} of 10`;
  return `${takes} ${takes === 1 ? "take" : "takes"} of ${options.join(" and ")}, ${clean === 0 ? "none" : clean} clean${fastest}${felt}`;
}

function doneSaid({ done }: BlockData): string {
  if (!done) return "";
  const parts = [
    ` ${done.minutes} min`,
    done.tempo === null ? null : `ladder to ♩ = ${Math.round(done.tempo)}`,
    done.count && `${done.count.good} of ${done.count.plays} good`,
    done.loose === null ? null : done.loose ? "loose" : "not loose",
  ];
  return parts.filter((part) => part !== null).join(", ");
}

function Note({ note: { id, text, author }, title }: { readonly note: DiaryNoteData; readonly title: string }) {
  return (
    <div className="flex items-start gap-1">
      <p className="min-w-0 flex-1 border-l border-hairline pl-3 font-serif italic">
        {text}
        <span className="text-sm text-soft not-italic">
          {author && ` ${author}`}
          {title && ` (${title})`}
        </span>
      </p>
      <BelongingMenu of={{ kind: "note", id, title: text, called: "this note" }} />
    </div>
  );
}
