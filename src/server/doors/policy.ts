/** The header in which a page's nonce goes from the proxy to the page. */
export const NONCE_HEADER = "x-nonce";

/**
 * What a page may load and run: its own scripts, by nonce, and nothing of anybody else's. The engraver is WebAssembly and
 * puts fonts and styles into its drawings.
 * @param isBuilding while it is developed, scripts are evaluated
 */
export function contentPolicy(nonce: string, isBuilding: boolean): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic' 'wasm-unsafe-eval'${isBuilding ? " 'unsafe-eval'" : ""}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "media-src 'self' blob:",
    "font-src 'self' data:",
    "connect-src 'self' data:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
}

/** Headers of every answer. */
export const ALWAYS: readonly (readonly [string, string])[] = [
  ["x-content-type-options", "nosniff"],
  ["referrer-policy", "no-referrer"],
  ["x-frame-options", "DENY"],
  ["cross-origin-opener-policy", "same-origin"],
  ["cross-origin-resource-policy", "same-origin"],
];
