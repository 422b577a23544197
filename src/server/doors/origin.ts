/** Names under which a machine speaks to itself. */
const LOOPBACK = /^(localhost|127(\.\d{1,3}){3}|\[::1\])$/i;

export function isLoopback(host: string): boolean {
  return LOOPBACK.test(host.replace(/:\d+$/, ""));
}

const CHANGES_NOTHING = ["GET", "HEAD", "OPTIONS"];

/**
 * Why a request is refused that may come from another page than ours; null where it is ours. What changes something must
 * say where it comes from, and come from here.
 */
export function strangerIn(method: string, headers: Headers): string | null {
  if (CHANGES_NOTHING.includes(method)) return null;
  const [host, origin, site] = ["host", "origin", "sec-fetch-site"].map((name) => headers.get(name));
  if (origin) return originHost(origin) === host?.toLowerCase() ? null : REFUSED;
  // Browsers say at least this; what is no browser carries no cookie of ours.
  return site === "same-origin" || site === "none" || site === null ? null : REFUSED;
}

const REFUSED = "This request comes from another page than Velvet Thumb's, and is refused.";

function originHost(origin: string): string | null {
  try {
    return new URL(origin).host.toLowerCase();
  } catch {
    return null;
  }
}
