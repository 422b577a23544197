"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { startTransition, useEffect } from "react";
import { Button } from "../ui/button";

interface Props {
  readonly title: string;
  readonly error: Error & { readonly digest?: string };
  readonly retry: () => void;
}

/** What a page shows in place of something that could not be shown. */
export function Trouble({ title, error, retry }: Props) {
  const router = useRouter();
  useEffect(() => console.error(error), [error]);
  // What could not be shown is asked of the server again, and only then shown in place of this.
  const again = (): void =>
    startTransition(() => {
      router.refresh();
      retry();
    });
  return (
    <div className="py-16">
      <h1 className="font-serif text-3xl">{title} cannot be shown now</h1>
      <p className="mt-2 max-w-prose">
        It could not be shown: the server or its database does not answer, or something went wrong on the way. What is
        kept stays kept, and what waits in this browser is sent as soon as it can be.
      </p>
      <div className="mt-4 flex items-center gap-4">
        <Button look="main" onClick={again}>
          Try again
        </Button>
        <Link href="/" className="text-velvet underline">
          Go to the repertoire
        </Link>
      </div>
    </div>
  );
}
