import { childrenOf, textOf, type Element } from "../../xml/tree";

/** Lines over or under a staff that begin at one place and end at another. */
const LINES = ["octave-shift", "wedge", "dashes", "bracket", "pedal"];

interface OpenLine {
  readonly name: string;
  readonly number: string;
  /** The element that began it, as it stands in the file. */
  readonly begun: string;
  readonly staff: string | null;
  readonly placement: string | undefined;
}

/** The lines that have begun and not ended at a place of a part. */
export class OpenLines {
  private readonly open = new Map<string, OpenLine>();

  constructor(private readonly text: string) {}

  /** Goes on over a measure. */
  take(measure: Element): void {
    for (const direction of childrenOf(measure, "direction"))
      for (const type of childrenOf(direction, "direction-type"))
        for (const line of type.children) if (LINES.includes(line.name)) this.takeLine(line, direction);
  }

  /** Directions that begin them anew, as at the start of an excerpt. */
  begun(): string {
    return [...this.open.values()].map((line) => directionOf(line, line.begun)).join("");
  }

  /** Directions that end them, as at the end of an excerpt. */
  ended(): string {
    return [...this.open.values()]
      .map((line) =>
        directionOf(
          line,
          `<${line.name} type="stop"${line.number ? ` number="${line.number}"` : ""}${line.name === "bracket" ? ` line-end="none"` : ""}/>`,
        ),
      )
      .join("");
  }

  private takeLine(line: Element, direction: Element): void {
    const staff = textOf(direction, "staff");
    const number = /^\d+$/.exec(line.attributes["number"] ?? "")?.[0] ?? "";
    const key = `${line.name} ${number} ${staff ?? ""}`;
    const type = line.attributes["type"];
    if (type === "stop") {
      this.open.delete(key);
      return;
    }
    if (type === "continue" || type === "change" || type === "discontinue" || type === "resume") return;
    const begun = this.text.slice(line.start, line.end);
    this.open.set(key, { name: line.name, number, begun, staff, placement: direction.attributes["placement"] });
  }
}

function directionOf({ staff, placement }: OpenLine, inner: string): string {
  const place = placement === "above" || placement === "below" ? ` placement="${placement}"` : "";
  const onStaff = staff !== null && /^\d+$/.test(staff) ? `<staff>${staff}</staff>` : "";
  return `<direction${place}><direction-type>${inner}</direction-type>${onStaff}</direction>`;
}
