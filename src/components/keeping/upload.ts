import type { Answer } from "@/server/types";

/** Sends a file once; whatever goes wrong is a sentence. It is not sent again by itself: a file is chosen anew in a moment. */
export async function upload<T>(address: string, form: FormData): Promise<Answer<T>> {
  try {
    const response = await fetch(address, { method: "POST", body: form });
    const answer = (await response.json()) as { readonly message: string } | T;
    if (response.ok) return { ok: true, value: answer as T };
    return { ok: false, message: (answer as { readonly message?: string }).message ?? FAILED };
  } catch {
    return { ok: false, message: FAILED };
  }
}

const FAILED = "The file did not get through to the server. Choose it once more.";
