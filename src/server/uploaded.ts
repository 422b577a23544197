import { LARGEST_FILE } from "@/formats/musicxml/open";

/** A file that came with a request, or why there is none. */
export type Uploaded =
  | { readonly ok: true; readonly file: { readonly name: string; readonly bytes: Uint8Array } }
  | { readonly ok: false; readonly refusal: Response };

/** The one file of a request. */
export async function uploaded(request: Request): Promise<Uploaded> {
  const size = Number(request.headers.get("content-length") ?? 0);
  if (size > LARGEST_FILE + 10_000)
    return { ok: false, refusal: refused(`The file is over ${LARGEST_FILE / 1024 / 1024} MB.`, 413) };
  const file = await request.formData().then(
    (form) => form.get("file"),
    () => null,
  );
  if (!(file instanceof File)) return { ok: false, refusal: refused("No file came with the request.", 400) };
  return { ok: true, file: { name: file.name, bytes: new Uint8Array(await file.arrayBuffer()) } };
}

/** A sentence that says what is wrong. */
export function refused(message: string, status: number): Response {
  return Response.json({ message }, { status });
}
