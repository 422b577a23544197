"use client";

import { FileMusic } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { useDropzone } from "react-dropzone";
import { z } from "zod";

const Imported = z.object({ pieceId: z.string(), remarks: z.array(z.string()) });
const Refused = z.object({ message: z.string() });

/** Brings in a score by drag or by picker; what is refused is told with what and where. */
export function ImportDrop({ playerId }: { playerId: string }) {
  const router = useRouter();
  const [state, setState] = useState<"ready" | "reading">("ready");
  const [complaint, setComplaint] = useState<string | null>(null);
  const take = async ([file]: File[]): Promise<void> => {
    if (!file) return;
    setState("reading");
    setComplaint(null);
    const answer = await send(playerId, file);
    if (typeof answer === "string") setComplaint(answer);
    else router.push(`/pieces/${answer.pieceId}`);
    setState("ready");
  };
  const { getRootProps, getInputProps, isDragActive } = useDropzone({
    onDrop: (files) => void take(files),
    multiple: false,
  });
  return (
    <aside>
      <div
        {...getRootProps({ role: undefined, tabIndex: -1 })}
        className={`flex cursor-pointer flex-col items-center gap-2 border border-dashed px-6 py-8 text-center ${isDragActive ? "border-velvet bg-raised" : "border-hairline"}`}
      >
        <FileMusic size={28} aria-hidden className="text-soft" />
        <label htmlFor="score-file" className="font-serif text-xl">
          Bring in a score
        </label>
        <p className="text-sm text-soft">
          MusicXML (.musicxml, .xml, .mxl, up to 20 MB), or a MIDI file (.mid) that is then heard as music. Drop it here
          or choose it.
        </p>
        <input
          {...getInputProps({
            id: "score-file",
            style: {},
            tabIndex: 0,
            className:
              "mt-2 w-full max-w-60 text-sm file:mr-3 file:min-h-11 file:border file:border-hairline file:bg-raised file:px-3",
          })}
        />
        {state === "reading" && <p role="status">Reading…</p>}
      </div>
      {complaint && (
        <p role="alert" className="mt-3 border-l-2 border-vermilion pl-3">
          {complaint}
        </p>
      )}
    </aside>
  );
}

async function send(playerId: string, file: File): Promise<z.infer<typeof Imported> | string> {
  const body = new FormData();
  body.append("file", file);
  try {
    const answer = await fetch(`/import?player=${playerId}`, { method: "POST", body });
    const json: unknown = await answer.json();
    return answer.ok ? Imported.parse(json) : Refused.parse(json).message;
  } catch {
    return `${file.name} could not be sent: the server does not answer. Try again when it does.`;
  }
}
