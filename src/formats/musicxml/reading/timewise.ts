import { childrenOf, type Element } from "../../xml/tree";

/**
 * A score written bar by bar, each bar with all its parts, turned round: each part with all its bars. Elements stay where
 * they stand in the text, so that what is written goes to its place.
 */
export function partwise(root: Element): Element {
  const parts = new Map<string, Element[]>();
  for (const measure of childrenOf(root, "measure"))
    for (const part of childrenOf(measure, "part")) {
      const id = part.attributes["id"] ?? "";
      const bars = parts.get(id) ?? [];
      parts.set(id, bars);
      bars.push({ ...part, name: "measure", attributes: measure.attributes });
    }
  const turned = [...parts].map(([id, bars]): Element => {
    return { ...root, name: "part", attributes: { id }, children: bars, text: "" };
  });
  const others = root.children.filter(({ name }) => name !== "measure");
  return { ...root, name: "score-partwise", children: [...others, ...turned] };
}
