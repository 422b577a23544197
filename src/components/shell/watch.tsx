"use client";

import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { toast } from "sonner";
import { onWorkerDeath } from "@/worker/clients";
import { NoAnswer } from "../keeping/no-answer";

/** What every page watches over: the connection, the workers, the player's time zone, and the way back. */
export function Watch({ zone }: { zone: string }) {
  const router = useRouter();
  useEffect(
    () =>
      onWorkerDeath(
        () => void toast.error("The computing beside the page broke off; it was begun again. Nothing is lost."),
      ),
    [],
  );
  useEffect(() => {
    const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
    if (!here || here === zone) return;
    document.cookie = `velvet-zone=${encodeURIComponent(here)}; path=/; max-age=31536000; samesite=strict`;
    router.refresh();
  }, [zone, router]);
  useEffect(() => {
    // A page come back to may be shown as it was before other pages changed what it shows.
    const renew = (): void => router.refresh();
    window.addEventListener("popstate", renew);
    return () => window.removeEventListener("popstate", renew);
  }, [router]);
  return <NoAnswer />;
}
