"use client";

import { Trouble } from "@/components/shell/trouble";

type Props = { readonly error: Error & { readonly digest?: string }; readonly reset: () => void };

export default function Failed({ error, reset }: Props) {
  return <Trouble title="What was taken away" error={error} retry={reset} />;
}
