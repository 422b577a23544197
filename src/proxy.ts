import { NextResponse, type NextRequest } from "next/server";
import { isLoopback, strangerIn } from "@/server/doors/origin";
import { passphrase } from "@/server/doors/passphrase";
import { ALWAYS, contentPolicy, NONCE_HEADER } from "@/server/doors/policy";
import { isLetIn, SESSION_COOKIE } from "@/server/doors/session";

export const config = { matcher: "/((?!_next/static|_next/image|icon.svg).*)" };

/** What anybody may ask for who is not in yet. */
const AT_THE_DOOR = ["/door", "/door/knock", "/health"];

/** The door: every request comes by here. Who may come in, from where, and what its answer may load and run. */
export async function proxy(request: NextRequest): Promise<NextResponse> {
  const { pathname } = request.nextUrl;
  const stranger = strangerIn(request.method, request.headers);
  if (stranger) return refused(stranger);
  const host = request.headers.get("host") ?? "";
  if (passphrase() === null) {
    // A page elsewhere may name this machine as its own: it is spoken to only by its own names.
    if (!isLoopback(host))
      return refused("Velvet Thumb answers on this machine alone, for no passphrase is set (VELVET_PASSPHRASE).");
  } else if (!AT_THE_DOOR.includes(pathname) && !(await isLetIn(request.cookies.get(SESSION_COOKIE)?.value))) {
    if (request.method !== "GET") return refused("The door is closed: say the passphrase first.", 401);
    return NextResponse.redirect(new URL("/door", `http://${host}`));
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

function refused(message: string, status = 403): NextResponse {
  return guarded(NextResponse.json({ message }, { status }), "default-src 'none'; frame-ancestors 'none'");
}
