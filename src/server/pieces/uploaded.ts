import { Readable } from "node:stream";
import busboy from "busboy";
import { LARGEST_FILE } from "@/formats/musicxml/reading/open";
import { refusalOf } from "../asking";
import { stoppedAt } from "../doors/door";

/** A file that came with a request, or why there is none. */
export type Uploaded =
  { readonly ok: true; readonly file: FileCome } | { readonly ok: false; readonly refusal: Response };

/** ms that a file may take to come. */
const MOST_MS = 120_000;

/** Bytes of an archive at most: years of takes, and some films. */
export const LARGEST_ARCHIVE = 512 * 1024 * 1024;

/**
 * The one file of a request, counted while it comes, whatever its headers claim.
 * @param most bytes that it may have
 */
export async function uploaded(request: Request, most: number = LARGEST_FILE): Promise<Uploaded> {
  const atTheDoor = await refusedAtTheDoor(request);
  if (atTheDoor) return { ok: false, refusal: atTheDoor };
  const type = request.headers.get("content-type") ?? "";
  if (!request.body || !type.startsWith("multipart/form-data")) return { ok: false, refusal: refused(NONE, 400) };
  const body = Readable.fromWeb(request.body as Parameters<typeof Readable.fromWeb>[0]);
  const found = await fileIn(body, type, most);
  if (typeof found === "object") return { ok: true, file: found };
  const [message, status] = found === "large" ? tooLarge(most) : REFUSALS[found];
  // What still comes is not read: the connection ends with the answer.
  body.unpipe();
  const refusal = refused(message, status);
  refusal.headers.set("connection", "close");
  return { ok: false, refusal };
}

const NONE = "No file came with the request.";
const REFUSALS = {
  none: [NONE, 400],
  slow: ["The file took too long to come.", 408],
} as const;

function tooLarge(most: number): readonly [message: string, status: number] {
  return [`The file is over ${most / 1024 / 1024} MB.`, 413];
}

/** A file as it came. */
interface FileCome {
  readonly name: string;
  /** Its media type, as the sender has it. */
  readonly type: string;
  readonly bytes: Uint8Array;
}

type FileFound = FileCome | keyof typeof REFUSALS | "large";

function fileIn(body: Readable, type: string, most: number): Promise<FileFound> {
  return new Promise((resolve) => {
    const slow = setTimeout(() => done("slow"), MOST_MS);
    const done = (found: FileFound): void => {
      clearTimeout(slow);
      resolve(found);
    };
    let file: FileFound | null = null;
    let parser;
    try {
      const limits = { files: 1, fileSize: most + 1, fields: 4, fieldSize: 1000, parts: 6 };
      parser = busboy({ headers: { "content-type": type }, limits, defParamCharset: "utf8" });
    } catch {
      return done("none");
    }
    parser.on("file", (field, stream, { filename, mimeType }) => {
      if (field !== "file") return void stream.resume();
      const parts: Buffer[] = [];
      stream.on("data", (part: Buffer) => parts.push(part));
      stream.on("limit", () => done("large"));
      stream.on("end", () => {
        if (!stream.truncated)
          file = { name: filename || "score.musicxml", type: mimeType, bytes: new Uint8Array(Buffer.concat(parts)) };
      });
    });
    // With the last of the form: a request is read to its end.
    parser.on("close", () => done(file ?? "none"));
    parser.on("error", () => done("none"));
    body.on("error", () => done("none"));
    body.pipe(parser);
  });
}

/** The answer to who may not come in, by a route that the proxy lets through; null to who may. */
export async function refusedAtTheDoor(request: Request): Promise<Response | null> {
  const stopped = await stoppedAt(request);
  if (!stopped) return null;
  const closed = "The door is closed: say the passphrase first.";
  return stopped.kind === "refused" ? refused(stopped.message, stopped.status) : refused(closed, 401);
}

/** A sentence that says what is wrong. */
export function refused(message: string, status: number): Response {
  return Response.json({ message }, { status });
}

/** Answers a request to a route; whatever goes wrong is a sentence. */
export async function orRefused(answering: () => Promise<Response>): Promise<Response> {
  try {
    return await answering();
  } catch (error) {
    const refusal = refusalOf(error);
    return refused(refusal.ok ? "" : refusal.message, 503);
  }
}
