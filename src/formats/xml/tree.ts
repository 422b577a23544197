import { SaxesParser } from "saxes";
import { refusal, type Read } from "../issue";

/**
 * An element and where it stands in the text, so that a writer can change single places and leave every
 * other character as it is. Offsets count UTF-16 units of the decoded text.
 */
export interface Element {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly Element[];
  /** Text directly inside, trimmed. */
  readonly text: string;
  readonly start: number;
  /** After the start tag. */
  readonly inner: number;
  /** Before the end tag; the same as inner for an empty-element tag. */
  readonly innerEnd: number;
  readonly end: number;
  readonly selfClosing: boolean;
}

interface Growing {
  name: string;
  attributes: Record<string, string>;
  children: Growing[];
  text: string;
  start: number;
  inner: number;
  innerEnd: number;
  end: number;
  selfClosing: boolean;
}

/** Elements nested deeper than this are refused. */
const DEEPEST = 64;

/** Parses a whole text strictly. External declarations are never fetched; an ENTITY declaration is refused. */
export function parseXml(text: string): Read<Element> {
  const parser = new SaxesParser({ position: true, xmlns: false });
  const open: Growing[] = [];
  let root: Growing | null = null;
  let problem: string | null = null;
  let declaresEntity = false;
  parser.on("error", (error) => {
    problem ??= error.message.replace(/^\d+:\d+:\s*|\.$/g, "");
    throw error;
  });
  parser.on("doctype", (doctype) => {
    if (/<!ENTITY/i.test(doctype)) {
      declaresEntity = true;
      throw new Error("entity");
    }
  });
  parser.on("opentagstart", (tag) => {
    const start = text.lastIndexOf("<", parser.position - 1);
    open.push({
      name: tag.name,
      attributes: {},
      children: [],
      text: "",
      start,
      inner: 0,
      innerEnd: 0,
      end: 0,
      selfClosing: false,
    });
    if (open.length > DEEPEST) throw new Error((problem = `Elements are nested more than ${DEEPEST} deep`));
  });
  parser.on("opentag", (tag) => {
    const element = open.at(-1)!;
    element.attributes = tag.attributes as Record<string, string>;
    element.inner = parser.position;
    element.selfClosing = tag.isSelfClosing;
  });
  parser.on("text", (value) => {
    if (open.length > 0) open.at(-1)!.text += value;
  });
  parser.on("cdata", (value) => {
    if (open.length > 0) open.at(-1)!.text += value;
  });
  parser.on("closetag", () => {
    const element = open.pop()!;
    element.end = parser.position;
    element.innerEnd = element.selfClosing ? element.inner : text.lastIndexOf("</", element.end - 1);
    element.text = element.text.trim();
    if (open.length > 0) open.at(-1)!.children.push(element);
    else root = element;
  });
  try {
    parser.write(text).close();
  } catch {
    const place = `line ${parser.line}, column ${parser.column}`;
    if (declaresEntity) return refusal("entity", "The file declares an ENTITY of its own, which is not read.", place);
    return refusal("not-xml", `The file is not well-formed XML: ${problem ?? "it could not be read"}.`, place);
  }
  if (root === null) return refusal("not-xml", "The file holds no XML element.");
  return { ok: true, value: root, issues: [] };
}

export function child(element: Element, name: string): Element | null {
  return element.children.find((c) => c.name === name) ?? null;
}

export function childrenOf(element: Element, name: string): readonly Element[] {
  return element.children.filter((c) => c.name === name);
}

/** Text of a child, or null where there is none. */
export function textOf(element: Element, name: string): string | null {
  return child(element, name)?.text ?? null;
}

/** Attribute and text escaping. */
export function escapeXml(text: string): string {
  return text.replace(/&/g, "&amp;").replace(/</g, "&lt;").replace(/>/g, "&gt;").replace(/"/g, "&quot;");
}
