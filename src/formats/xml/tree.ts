import { SaxesParser } from "saxes";
import { refusal, type Read } from "../issue";

/**
 * An element and where it stands in the text, so that a writer can change single places and leave every
 * other character as it is. Offsets count UTF-16 units of the decoded text.
 */
export interface Element {
  readonly name: string;
  /** Without a prototype: a name such as "constructor" is an attribute only where the file says so. */
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

/**
 * Parses a whole text strictly. External declarations are never fetched; an ENTITY declaration is refused, and so is a
 * text of more elements than a limit, before any is made.
 */
export function parseXml(text: string, mostElements = Infinity): Read<Element> {
  if (hasMoreTags(text, mostElements))
    return refusal(
      "too-large",
      `The file holds over ${mostElements.toLocaleString("en")} elements, more than any score.`,
    );
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
      attributes: NONE,
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
    if (hasOwn(tag.attributes)) element.attributes = tag.attributes as Record<string, string>;
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

/** The attributes of every element that has none. */
const NONE = Object.freeze(Object.create(null)) as Record<string, string>;

function hasOwn(attributes: object): boolean {
  for (const _ in attributes) return true;
  return false;
}

/** Whether a text opens more tags than a limit, found without parsing it. */
function hasMoreTags(text: string, most: number): boolean {
  // The shortest element takes four characters.
  if (text.length < 4 * most) return false;
  let count = 0;
  for (let at = text.indexOf("<"); at >= 0; at = text.indexOf("<", at + 1)) {
    const next = text.charCodeAt(at + 1);
    if (next !== 0x2f && next !== 0x21 && next !== 0x3f && ++count > most) return true;
  }
  return false;
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
