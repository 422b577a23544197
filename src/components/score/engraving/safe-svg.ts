import DOMPurify from "dompurify";

/** A drawing that may be put into the page: made from a file that came from anywhere, it keeps its shapes and loses all that could do something. */
export function safeSvg(svg: string): string {
  return DOMPurify.sanitize(svg, {
    USE_PROFILES: { svg: true, svgFilters: true },
    ADD_TAGS: ["use"],
    FORBID_TAGS: ["a", "image", "foreignObject"],
  });
}
