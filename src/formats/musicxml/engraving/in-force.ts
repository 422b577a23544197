import type { Element } from "../../xml/tree";

/** Key, time, clefs and the like as they stand at a place of a part, in the order the format wants. */
export class InForce {
  private readonly parts = new Map<string, string>();

  constructor(private readonly text: string) {}

  take(attributes: Element): void {
    for (const element of attributes.children) {
      if (!ORDER.includes(element.name)) continue;
      if (element.name === "key" || element.name === "time") this.forget(element.name, element.attributes["number"]);
      this.parts.set(
        `${element.name} ${element.attributes["number"] ?? ""}`,
        this.text.slice(element.start, element.end),
      );
    }
  }

  toString(): string {
    const sorted = [...this.parts].sort(
      ([a], [b]) => ORDER.indexOf(a.split(" ")[0]!) - ORDER.indexOf(b.split(" ")[0]!) || (a < b ? -1 : 1),
    );
    return `<attributes>${sorted.map(([, text]) => text).join("")}</attributes>`;
  }

  /** A key or time for all staves replaces those of single staves. */
  private forget(name: string, number: string | undefined): void {
    if (number !== undefined) return;
    for (const key of this.parts.keys()) if (key.startsWith(`${name} `)) this.parts.delete(key);
  }
}

const ORDER = ["divisions", "key", "time", "staves", "clef", "staff-details", "transpose"];
