import { splice } from "./splice";
import { child, childrenOf, escapeXml, parseXml, textOf, type Element } from "./tree";

function root(text: string): Element {
  const parsed = parseXml(text);
  if (!parsed.ok) throw new Error(parsed.issues[0]!.message);
  return parsed.value;
}

describe("an XML tree", () => {
  const texts = {
    plain: `<?xml version="1.0"?>\n<a x="1"><b>one</b><c/><b y='2'> two </b></a>`,
    "with a DOCTYPE, comments and instructions": `<!DOCTYPE a SYSTEM "a.dtd"><!-- <b>no</b> --><?note <b/> ?><a><b><![CDATA[<x>]]></b><c   /><!-- & --><b/></a>`,
    "with carriage returns": `<a>\r\n  <b>one</b>\r\n  <c/>\r\n  <b/>\r\n</a>`,
    "with letters beyond the first plane": `<a title="𝄞𝄢"><b>𝄞</b><c/><b attr="𝄢"/></a>`,
    "with a > in an attribute": `<a><b q="1 > 0">x</b><c r=">"/><b/></a>`,
  };

  it.each(Object.entries(texts))("knows where every element stands, %s", (_name, text) => {
    const visit = (element: Element): void => {
      const whole = text.slice(element.start, element.end);
      expect(whole.startsWith(`<${element.name}`)).toBe(true);
      expect(whole.endsWith(element.selfClosing ? "/>" : `</${element.name}>`)).toBe(true);
      expect(text[element.inner - 1]).toBe(">");
      if (!element.selfClosing) expect(text.slice(element.innerEnd, element.end)).toBe(`</${element.name}>`);
      element.children.forEach(visit);
    };
    const a = root(text);
    visit(a);
    expect(a.children.map((c) => c.name)).toEqual(["b", "c", "b"]);
  });

  it("gives text, attributes and children by name", () => {
    const a = root(texts.plain);
    expect(textOf(a, "b")).toBe("one");
    expect(textOf(a, "d")).toBeNull();
    expect(child(a, "c")!.selfClosing).toBe(true);
    expect(childrenOf(a, "b").map((b) => b.text)).toEqual(["one", "two"]);
    expect(childrenOf(a, "b")[1]!.attributes).toEqual({ y: "2" });
  });

  it("reads entities that XML itself names and refuses others", () => {
    expect(root("<a>&lt;&amp;&#65;</a>").text).toBe("<&A");
    expect(parseXml("<a>&nbsp;</a>").ok).toBe(false);
  });

  it("refuses nesting that no score has", () => {
    const deep = "<a>".repeat(80) + "</a>".repeat(80);
    expect(parseXml(deep)).toMatchObject({
      ok: false,
      issues: [{ code: "not-xml", message: expect.stringContaining("nested") as string }],
    });
  });

  it("escapes what text and attributes must not hold", () => {
    expect(root(`<a b="${escapeXml(`"<&>`)}">${escapeXml("<&>")}</a>`)).toMatchObject({
      text: "<&>",
      attributes: { b: `"<&>` },
    });
  });
});

describe("splicing", () => {
  it("replaces places and leaves the rest", () => {
    const edits = [
      { start: 6, end: 11, with: "there" },
      { start: 0, end: 0, with: "oh, " },
    ];
    expect(splice("hello world!", edits)).toBe("oh, hello there!");
  });

  it("puts an insertion before a replacement at the same place, and insertions in their order", () => {
    const edits = [
      { start: 1, end: 2, with: "B" },
      { start: 1, end: 1, with: "x" },
      { start: 1, end: 1, with: "y" },
    ];
    expect(splice("abc", edits)).toBe("axyBc");
  });

  it("takes overlapping edits for a mistake", () => {
    const edits = [
      { start: 0, end: 2, with: "" },
      { start: 1, end: 3, with: "" },
    ];
    expect(() => splice("abc", edits)).toThrow("overlap");
  });
});
