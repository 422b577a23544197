import { NextResponse, type NextRequest } from "next/server";
import { stoppedAt } from "@/server/doors/door";
import { ALWAYS, contentPolicy, NONCE_HEADER } from "@/server/doors/policy";

/** Files and music that come in are not let through here, for they would be held back whole: their routes ask the door themselves. */
export const config = {
  matcher: "/((?!_next/static|_next/image|icon.svg|import$|passages/[^/]+/editions$|film/[^/]+/keep$|engraving$).*)",
};

/** Every request comes by here: who may come in, from where, and what its answer may load and run. */
export async function proxy(request: NextRequest): Promise<NextResponse> {
  const stopped = await stoppedAt(request);
  if (stopped?.kind === "to-the-door")
    return NextResponse.redirect(new URL("/door", `http://${request.headers.get("host")}`));
  if (stopped) {
    const { message, status } = stopped;
    return guarded(NextResponse.json({ message }, { status }), "default-src 'none'; frame-ancestors 'none'");
  }
  const nonce = Buffer.from(crypto.getRandomValues(new Uint8Array(16))).toString("base64");
  const policy = contentPolicy(nonce, process.env.NODE_ENV === "development");
  const headers = new Headers(request.headers);
  headers.set(NONCE_HEADER, nonce);
  headers.set("content-security-policy", policy);
  return guarded(NextResponse.next({ request: { headers } }), policy);
}

function guarded(response: NextResponse, policy: string): NextResponse {
  response.headers.set("content-security-policy", policy);
  for (const [name, value] of ALWAYS) response.headers.set(name, value);
  return response;
}
